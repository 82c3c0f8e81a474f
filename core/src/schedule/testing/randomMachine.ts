import { addDays, civilDate, daysBetween } from '../../calendar/civilDate.js';
import type { CivilDate } from '../../calendar/civilDate.js';
import { instant } from '../../calendar/instant.js';
import { lifeHours } from '../../meter/lifeHours.js';
import { seasonYear } from '../../season/season.js';
import type { ItemHistory, ServicePoint } from '../baseline.js';
import { ACTIONS } from '../item.js';
import type { ScheduleItem } from '../item.js';
import type { MachineFacts } from '../machineSchedule.js';
import type { SiteSettings } from '../scheduleContext.js';
import type { Trigger } from '../trigger.js';
import { seeded } from '../../usage/backTest/seeded.js';
import { every, everyHours, item } from './facts.js';

export interface RandomMachine {
  readonly facts: MachineFacts;
  readonly site: SiteSettings;
  readonly today: CivilDate;
}

/** A machine with an arbitrary past, seasons and book, the same for the same seed. */
export function randomMachine(seed: number): RandomMachine {
  const random = seeded(seed);
  const whole = (from: number, to: number) => from + Math.floor(random() * (to - from + 1));
  const pick = <T>(choices: readonly T[]): T => {
    const chosen = choices[whole(0, choices.length - 1)];
    if (chosen === undefined) throw new Error('There is nothing to choose from.');
    return chosen;
  };
  const two = (value: number) => String(value).padStart(2, '0');
  const monthDay = (from: number, to: number) => `${two(whole(from, to))}-${two(whole(1, 28))}`;

  const site: SiteSettings = {
    timeZone: 'Europe/London',
    grid: pick(['sinceDone', 'onMeter']),
    seasons: [
      { id: 'a', name: 'Mowing', years: [seasonYear(2024, monthDay(2, 4), monthDay(9, 11))] },
      {
        id: 'b',
        name: 'Snow',
        years: [
          seasonYear(2024, monthDay(11, 12), monthDay(1, 2)),
          seasonYear(2026, monthDay(11, 12), monthDay(1, 2)),
        ],
      },
    ],
  };
  const today = addDays(civilDate('2026-01-01'), whole(0, 800));
  const enteredOn = addDays(today, -whole(1, 900));
  const cameNew = random() < 0.6;
  let life = cameNew ? 0 : whole(0, 9000) / 10;
  const entry = { on: enteredOn, life: lifeHours(life), cameNew };
  const readings: { at: ReturnType<typeof instant>; shown: number }[] = [];
  const past: ServicePoint[] = [];
  const often = pick([1, 4, 7, 7, 7, 30]);
  for (let on = addDays(enteredOn, whole(1, 9)); on <= today; on = addDays(on, whole(1, 2 * often))) {
    if (random() < 0.7) life += whole(0, 25 * often) / 20;
    life = Math.round(life * 10) / 10;
    readings.push({ at: instant(`${on}T12:00:00Z`), shown: life });
    past.push({ on, life: lifeHours(life) });
  }

  const trigger = (): Trigger => {
    switch (whole(0, 6)) {
      case 0:
      case 1:
        return everyHours(pick([8, 10, 25, 50, 75, 100, 250, 33.3]), {
          grid: pick([null, 'sinceDone', 'onMeter']),
        });
      case 2:
        return every(
          ...pick<[number, 'day' | 'month']>([
            [7, 'day'],
            [90, 'day'],
            [1, 'month'],
            [12, 'month'],
            [24, 'month'],
          ]),
        );
      case 3:
        return {
          ...{ kind: 'seasonEdge', season: pick(['Mowing', 'Snow', null]) },
          ...{ edge: pick(['first', 'last']), offsetDays: whole(-30, 30) },
        };
      case 4:
        return { kind: 'storage', days: pick([14, 30, 60]) };
      case 5:
        return { kind: 'firstHours', hours: pick([5, 8, 50]), meter: 'engine' };
      default:
        return { kind: 'firstCalendar', count: pick([1, 3]), unit: 'month' };
    }
  };
  const items: ScheduleItem[] = Array.from({ length: whole(1, 6) }, (_, index) =>
    item(`i${index}`, Array.from({ length: whole(1, 3) }, trigger), {
      action: pick(ACTIONS.slice(0, 4)),
      component: pick(['oil', 'air filter', 'belt']),
      renews: random() < 0.15 ? [`i${whole(0, 5)}`] : [],
      dutyFactor: pick([1, 1, 1, 0.5]),
    }),
  );
  const some = (share: number) => past.filter(() => random() < share);
  const history = new Map<string, ItemHistory>(
    items.map(({ id }) => [
      id,
      {
        completions: random() < 0.7 ? some(0.05) : [],
        declared: random() < 0.2 && past.length ? [pick(past)] : [],
      },
    ]),
  );
  const participation = pick([
    [],
    [{ seasonId: 'a', hoursPerWeek: whole(1, 12) }],
    [{ seasonId: 'b', hoursPerWeek: whole(1, 9) }],
    [
      { seasonId: 'a', hoursPerWeek: whole(1, 12) },
      { seasonId: 'b', hoursPerWeek: whole(1, 9) },
    ],
  ]);
  const laidUpSince =
    random() < 0.1 ? addDays(today, -whole(0, Math.min(60, daysBetween(enteredOn, today)))) : null;
  const segments = [{ startsAt: instant(`${enteredOn}T00:00:00Z`), offset: 0 }];
  return {
    site,
    today,
    facts: { entry, segments, readings, attachments: [], participation, laidUpSince, items, history },
  };
}
