import { civilDate, dayNumber } from '../../calendar/civilDate.js';
import type { CivilDate } from '../../calendar/civilDate.js';
import { instant } from '../../calendar/instant.js';
import { lifeHours } from '../../meter/lifeHours.js';
import { seasonYear } from '../../season/season.js';
import type { Season } from '../../season/season.js';
import type { Extension, ItemHistory, ServicePoint } from '../baseline.js';
import type { DueAnswer } from '../due.js';
import type { ScheduleItem } from '../item.js';
import { machineSchedule } from '../machineSchedule.js';
import type { MachineFacts, MachineSchedule } from '../machineSchedule.js';
import { scheduleContext } from '../scheduleContext.js';
import type { SiteSettings } from '../scheduleContext.js';
import type { EveryCalendar, EveryHours, Trigger } from '../trigger.js';

/** Shorthand for the worked examples of the schedule. */

export const MOWING: Season = {
  id: 'mowing',
  name: 'Mowing',
  years: [seasonYear(2026, '03-24', '10-24')],
};
export const SNOW: Season = { id: 'snow', name: 'Snow', years: [seasonYear(2026, '12-01', '02-28')] };
export const SITE: SiteSettings = { timeZone: 'Europe/London', seasons: [MOWING, SNOW], grid: 'sinceDone' };

export function everyHours(hours: number, over: Partial<EveryHours> = {}): EveryHours {
  return { kind: 'everyHours', hours, meter: 'engine', grid: null, ...over };
}

export function every(count: number, unit: 'day' | 'month', inUse: boolean | null = null): EveryCalendar {
  return { kind: 'everyCalendar', count, unit, inUse };
}

export function item(
  id: string,
  triggers: readonly Trigger[],
  over: Partial<ScheduleItem> = {},
): ScheduleItem {
  return {
    id,
    name: id,
    action: 'replace',
    components: [],
    oldWords: id,
    triggers,
    renews: [],
    dutyFactor: 1,
    window: { hours: null, days: null },
    consequence: null,
    ...over,
  };
}

export function point(on: string, life: number): ServicePoint {
  return { on: civilDate(on), life: lifeHours(life) };
}

export function done(...points: [on: string, life: number][]): ItemHistory {
  return { completions: points.map(([on, life]) => point(on, life)), declared: [] };
}

export function judged(
  kind: Extension['kind'],
  made: [string, number],
  untilLife: number | null,
  untilOn: string | null,
): Extension {
  return {
    kind,
    made: point(...made),
    untilLife,
    meter: null,
    untilOn: untilOn === null ? null : civilDate(untilOn),
  };
}

type Facts = Omit<Partial<MachineFacts>, 'history' | 'readings'> & {
  history?: Record<string, ItemHistory>;
  /** noon of the day, life hours */
  readings?: readonly (readonly [on: string, life: number])[];
};

/** A machine that came new on 1 April 2025, without a plan, on one meter from nought. */
export function facts({ history = {}, readings = [], ...over }: Facts): MachineFacts {
  return {
    entry: { ...point('2025-04-01', 0), cameNew: true },
    segments: [{ startsAt: instant('2025-04-01T00:00:00Z'), offset: 0 }],
    readings: readings.map(([on, shown]) => ({ at: instant(`${on}T12:00:00Z`), shown })),
    attachments: [],
    participation: [],
    status: { kind: 'inService', since: null },
    items: [],
    omitted: [],
    history: new Map(Object.entries(history)),
    ...over,
  };
}

export function scheduleOn(on: string, of: Facts, site: Partial<SiteSettings> = {}): MachineSchedule {
  return machineSchedule(facts(of), scheduleContext({ ...SITE, ...site }, civilDate(on)));
}

/** How one item of a machine stands on a day. */
export function answerOn(on: string, id: string, of: Facts, site: Partial<SiteSettings> = {}): DueAnswer {
  const found = scheduleOn(on, of, site).answers.find((answer) => answer.item.id === id);
  if (!found) throw new Error(`There is no item "${id}".`);
  return found;
}

export function day(on: string | CivilDate): number {
  return dayNumber(civilDate(on));
}
