import { addDays, civilDate } from '../../calendar/civilDate.js';
import type { CivilDate } from '../../calendar/civilDate.js';
import { instant } from '../../calendar/instant.js';
import type { Attachment } from '../../meter/attachment.js';
import { lifeHours } from '../../meter/lifeHours.js';
import type { Season } from '../../season/season.js';
import { seasonYear } from '../../season/season.js';
import { seeded } from '../../usage/backTest/seeded.js';
import type { Extension, ItemHistory, ServicePoint } from '../baseline.js';
import { ACTIONS } from '../item.js';
import type { ScheduleItem } from '../item.js';
import type { MachineFacts } from '../machineSchedule.js';
import { withOverrides } from '../override.js';
import type { ItemOverride } from '../override.js';
import type { SiteSettings } from '../scheduleContext.js';
import type { MeterName, Trigger } from '../trigger.js';
import type { MachineStatus } from '../workingTime.js';
import { every, everyHours, item } from './facts.js';

/** The lines of a machine's books with its departures from them, for whoever applies these by other means. */
export interface RandomMachine {
  readonly facts: MachineFacts;
  readonly lines: readonly ScheduleItem[];
  readonly overrides: readonly ItemOverride[];
  readonly site: SiteSettings;
  readonly today: CivilDate;
}

/** Draws by a seed: the same numbers, choices and chances each time. */
function dice(seed: number) {
  const random = seeded(seed);
  const whole = (from: number, to: number) => from + Math.floor(random() * (to - from + 1));
  return {
    whole,
    chance: (share: number) => random() < share,
    pick<T>(choices: readonly T[]): T {
      const chosen = choices[whole(0, choices.length - 1)];
      if (chosen === undefined) throw new Error('There is nothing to choose from.');
      return chosen;
    },
  };
}
type Dice = ReturnType<typeof dice>;

const two = (value: number) => String(value).padStart(2, '0');

function seasons({ whole, pick }: Dice): Season[] {
  const day = (from: number, to: number) => `${two(whole(from, to))}-${two(pick([1, whole(1, 28), 28]))}`;
  const snow = (year: number) => seasonYear(year, day(11, 12), pick([day(1, 2), '02-28']));
  return [
    { id: 'a', name: 'Mowing', years: [seasonYear(2024, day(2, 4), day(9, 11))] },
    {
      id: 'b',
      name: 'Snow',
      years: [
        ...[snow(2023), snow(2026)],
        // Ends on a leap day.
        { year: 2027, firstDay: civilDate('2027-12-01'), lastDay: civilDate('2028-02-29') },
      ],
    },
    { id: 'c', name: 'All year', years: [seasonYear(2025, '01-01', '12-31')] },
    { id: 'd', name: 'Not planned', years: [] },
  ];
}

const METER_CHOICE: readonly MeterName[] = [
  ...Array<MeterName>(8).fill('engine'),
  'loader',
  'loader',
  'deck',
];

function trigger({ whole, pick }: Dice, items: number): Trigger {
  switch (whole(0, 9)) {
    case 0:
    case 1:
    case 2:
      return everyHours(pick([8, 10, 25, 50, 75, 100, 250, 33.3]), {
        meter: pick(METER_CHOICE),
        grid: pick([null, 'sinceDone', 'onMeter']),
      });
    case 3:
      return every(pick([1, 7, 14, 31, 32, 90]), 'day', pick([null, null, true, false]));
    case 4:
      return every(pick([1, 3, 12, 24, 200]), 'month');
    case 5:
      return {
        kind: 'seasonEdge',
        season: pick(['Mowing', 'snow', 'Not planned', 'Nowhere', null, null]),
        edge: pick(['first', 'last']),
        offsetDays: whole(-30, 30),
      };
    case 6:
      return { kind: 'storage', days: pick([14, 30, 60, 150]) };
    case 7:
      return { kind: 'firstHours', hours: pick([5, 8, 50]), meter: pick(METER_CHOICE) };
    case 8:
      return pick<Trigger>([
        { kind: 'firstCalendar', count: pick([1, 3]), unit: 'month', inUse: null },
        { kind: 'firstCalendar', count: pick([5, 30, 60]), unit: 'day', inUse: pick([null, true, false]) },
      ]);
    default:
      return {
        kind: 'everyNth',
        n: pick([2, 2, 3, 5]),
        itemId: `i${whole(0, items)}`,
        everyTimeAboveHours: pick([null, null, 60]),
      };
  }
}

function history(
  { whole, pick, chance }: Dice,
  past: readonly ServicePoint[],
  today: CivilDate,
): ItemHistory {
  const often = pick([0, 0, 0.02, 0.05, 0.15]);
  const completions = past.filter(() => chance(often));
  const last = past.at(-1);
  // Dated after today by mistake, or on another machine's clock.
  if (last && chance(0.05)) completions.push({ ...last, on: addDays(today, whole(1, 40)) });
  const judgedAt = chance(0.15) ? past.slice(-8).filter(() => chance(0.2)) : [];
  const extensions = judgedAt.map((made): Extension => {
    const untilLife = chance(0.6) ? made.life + whole(1, 60) : null;
    return {
      kind: pick(['kept', 'deferred', 'leftOut']),
      made,
      untilLife,
      untilOn: untilLife === null || chance(0.4) ? addDays(made.on, whole(1, 200)) : null,
      meter: pick([null, null, 'engine', 'loader']),
    };
  });
  // A check that leaves the next one out was made.
  completions.push(...extensions.filter(({ kind }) => kind === 'leftOut').map(({ made }) => made));
  return { completions, declared: past.length && chance(0.2) ? [pick(past)] : [], extensions };
}

function attachments({ whole, pick, chance }: Dice, enteredOn: CivilDate, today: CivilDate): Attachment[] {
  const own = (meter: 'loader' | 'deck', hoursAtStart: number): Attachment => {
    const readings: { at: ReturnType<typeof instant>; shown: number }[] = [];
    let shown = hoursAtStart;
    if (chance(0.85)) {
      for (let on = addDays(enteredOn, whole(0, 20)); on <= today; on = addDays(on, whole(3, 40))) {
        readings.push({ at: instant(`${on}T12:00:00Z`), shown });
        shown = Math.round((shown + whole(0, 40) / 10) * 10) / 10;
      }
    }
    const segments = [{ startsAt: instant(`${enteredOn}T00:00:00Z`), offset: 0 }];
    return { meter, hours: { kind: 'own', hoursAtStart, segments, readings } };
  };
  return (['loader', 'deck'] as const).flatMap((meter): Attachment[] => {
    const kind = pick(['none', 'share', 'own']);
    if (kind === 'none') return [];
    const hoursAtStart = pick([0, 0, 12]);
    if (kind === 'own') return [own(meter, hoursAtStart)];
    return [{ meter, hours: { kind: 'share', share: pick([0.2, 0.25, 1]), hoursAtStart, engineAtStart: 0 } }];
  });
}

function status({ whole, pick, chance }: Dice, today: CivilDate): MachineStatus {
  if (chance(0.5)) return { kind: 'inService', since: null };
  const since = chance(0.1) ? null : addDays(today, -whole(0, pick([0, 20, 150])));
  return { kind: pick(['inService', 'laidUp', 'laidUp', 'outOfService', 'retired']), since };
}

function override({ pick, chance }: Dice, itemId: string, triggers: readonly Trigger[]): ItemOverride {
  return {
    itemId,
    isOmitted: chance(0.4),
    reason: 'as the crew lead says',
    triggers: chance(0.3) ? triggers : null,
    dutyFactor: pick([null, 0.5, 0.75]),
    window: pick([null, { hours: 4, days: null }, { hours: null, days: 20 }]),
  };
}

/** A machine with an arbitrary past, seasons and books, the same for the same seed. */
/** What lines are done to: one component, several, something else, and words of an older version. */
const SUBJECTS: readonly Pick<ScheduleItem, 'components' | 'oldWords'>[] = [
  { components: ['engineOil'], oldWords: '' },
  { components: ['engineOilFilter'], oldWords: '' },
  { components: ['engineOil', 'engineOilFilter'], oldWords: '' },
  { components: ['airFilter'], oldWords: '' },
  { components: ['loaderBolts'], oldWords: '' },
  { components: ['other'], oldWords: '' },
  { components: [], oldWords: 'beacon glass' },
];

export function randomMachine(seed: number): RandomMachine {
  const own = dice(seed);
  const { whole, pick, chance } = own;
  const site: SiteSettings = {
    timeZone: 'Europe/London',
    grid: pick(['sinceDone', 'onMeter']),
    seasons: seasons(own),
  };
  const today = chance(0.05)
    ? civilDate(pick(['2028-02-29', '2026-12-31', '2027-01-01']))
    : addDays(civilDate('2026-01-01'), whole(0, 1000));
  const enteredOn = addDays(today, -whole(1, pick([40, 400, 900, 2000])));
  const cameNew = chance(0.6);
  let life = cameNew ? 0 : whole(0, 9000) / 10;
  const entry = { on: enteredOn, life: lifeHours(life), cameNew };
  const readings: { at: ReturnType<typeof instant>; shown: number }[] = [];
  const past: ServicePoint[] = [];
  const read = (on: CivilDate) => {
    readings.push({ at: instant(`${on}T12:00:00Z`), shown: life });
    past.push({ on, life: lifeHours(life) });
  };
  const often = pick([1, 4, 7, 7, 7, 30]);
  for (let on = addDays(enteredOn, whole(1, 9)); on < today; on = addDays(on, whole(1, 2 * often))) {
    if (chance(0.7)) life += whole(0, 25 * often) / 20;
    life = Math.round(life * 10) / 10;
    read(on);
  }

  const count = whole(2, 7);
  const triggers = () => Array.from({ length: whole(1, 3) }, () => trigger(own, count));
  const lines = Array.from({ length: count }, (_, index) =>
    item(`i${index}`, triggers(), {
      action: pick(ACTIONS.slice(0, 4)),
      ...pick(SUBJECTS),
      renews: chance(0.15) ? [`i${whole(0, count)}`] : [],
    }),
  );
  const overrides = lines.flatMap(({ id }) => (chance(0.2) ? [override(own, id, triggers())] : []));
  const histories = new Map(lines.map(({ id }) => [id, history(own, past, today)]));
  // Some limits are met exactly.
  const done = pick([...histories.values()]).completions.at(-1);
  const exactly = done && done.on <= today ? done.life + pick([8, 10, 25, 50]) : 0;
  if (exactly > life && chance(0.3)) {
    life = Math.round(exactly * 10) / 10;
    read(today);
  }

  const participation = pick([
    [],
    [{ seasonId: 'a', hoursPerWeek: whole(1, 12) }],
    [{ seasonId: 'b', hoursPerWeek: whole(1, 9) }],
    [{ seasonId: 'c', hoursPerWeek: whole(1, 5) }],
    [
      { seasonId: 'a', hoursPerWeek: whole(1, 12) },
      { seasonId: 'b', hoursPerWeek: whole(1, 9) },
    ],
  ]);
  const facts: MachineFacts = {
    entry,
    readings,
    participation,
    history: histories,
    segments: [{ startsAt: instant(`${enteredOn}T00:00:00Z`), offset: 0 }],
    attachments: attachments(own, enteredOn, today),
    status: status(own, today),
    ...withOverrides(lines, overrides),
  };
  return { facts, lines, overrides, site, today };
}
