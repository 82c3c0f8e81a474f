import { roundHours } from '../meter/lifeHours.js';
import type { ScheduleItem } from './item.js';
import type { MeterName, Trigger } from './trigger.js';

/** Why an item belongs to a milestone. */
export type MilestoneReason =
  /** one of its hours intervals ends there */
  | { readonly kind: 'onHours'; readonly trigger: Trigger }
  /** it is done so often that it falls in between anyway */
  | { readonly kind: 'often'; readonly trigger: Trigger }
  /** the hours do not bring it, but a date does: who reads the column alone would miss it */
  | { readonly kind: 'byCalendar'; readonly trigger: Trigger };

export interface MilestoneLine {
  readonly item: ScheduleItem;
  readonly reason: MilestoneReason;
}

/** Everything a machine gets at so many hours of its engine. */
export interface Milestone {
  readonly hours: number;
  readonly lines: readonly MilestoneLine[];
}

/** Intervals below this make no columns of their own. */
const LEAST_COLUMN_HOURS = 25;
const TOLERANCE = 1e-6;

/** Hours of the engine for an hour of a meter: 5 for a loader that runs a fifth of the time; null where nobody can tell. */
export type EngineHoursPer = (meter: MeterName) => number | null;

function isMultiple(hours: number, of: number): boolean {
  const times = hours / of;
  return times > 1 - TOLERANCE && Math.abs(times - Math.round(times)) < TOLERANCE;
}

/** The interval of an hours trigger in hours of the engine; null for other triggers, and where nobody can tell. */
function engineHours(item: ScheduleItem, trigger: Trigger, per: EngineHoursPer): number | null {
  if (trigger.kind !== 'firstHours' && trigger.kind !== 'everyHours') return null;
  const engine = per(trigger.meter);
  if (engine === null) return null;
  return roundHours(trigger.hours * (trigger.kind === 'firstHours' ? 1 : item.dutyFactor) * engine);
}

/** The hours of the columns that `items` print, up to `upTo`. */
export function milestoneHours(items: readonly ScheduleItem[], upTo: number, per: EngineHoursPer): number[] {
  const hours = new Set<number>();
  for (const item of items) {
    for (const trigger of item.triggers) {
      const every = engineHours(item, trigger, per);
      if (every === null || every > upTo) continue;
      if (trigger.kind === 'firstHours') hours.add(every);
      else if (every >= LEAST_COLUMN_HOURS) {
        for (let at = every; at <= upTo + TOLERANCE; at += every) hours.add(roundHours(at));
      }
    }
  }
  return [...hours].sort((a, b) => a - b);
}

function reasonAt(item: ScheduleItem, hours: number, per: EngineHoursPer): MilestoneReason | null {
  for (const trigger of item.triggers) {
    const every = engineHours(item, trigger, per);
    if (every === null) continue;
    if (trigger.kind === 'firstHours' ? every === hours : isMultiple(hours, every))
      return { kind: 'onHours', trigger };
  }
  for (const trigger of item.triggers) {
    const every = engineHours(item, trigger, per);
    if (trigger.kind === 'everyHours' && every !== null && every < LEAST_COLUMN_HOURS)
      return { kind: 'often', trigger };
  }
  const dated = item.triggers.find(({ kind }) => kind === 'everyCalendar' || kind === 'seasonEdge');
  return dated ? { kind: 'byCalendar', trigger: dated } : null;
}

/** What a machine gets at `hours` of its engine, from all of its books together, in their order. */
export function milestoneAt(hours: number, items: readonly ScheduleItem[], per: EngineHoursPer): Milestone {
  const lines = items.flatMap((item) => {
    const reason = reasonAt(item, hours, per);
    return reason ? [{ item, reason }] : [];
  });
  return { hours, lines };
}
