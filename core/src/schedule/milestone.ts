import { roundHours } from '../meter/lifeHours.js';
import type { ScheduleItem } from './item.js';
import type { MeterName, Trigger } from './trigger.js';
import { isDated, onMeterOf } from './triggerKinds.js';

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

interface EngineHours {
  readonly every: number;
  readonly isOnce: boolean;
}

/** The interval of an hours trigger in hours of the engine; null for other triggers, and where nobody can tell. */
function engineHours(item: ScheduleItem, trigger: Trigger, per: EngineHoursPer): EngineHours | null {
  const point = onMeterOf(trigger, item);
  if (!point) return null;
  const engine = per(point.meter);
  return engine === null ? null : { every: roundHours(point.hours * engine), isOnce: point.isOnce };
}

/** The hours of the columns that `items` print, up to `upTo`. */
export function milestoneHours(items: readonly ScheduleItem[], upTo: number, per: EngineHoursPer): number[] {
  const hours = new Set<number>();
  for (const item of items) {
    for (const trigger of item.triggers) {
      const { every = Infinity, isOnce = false } = engineHours(item, trigger, per) ?? {};
      if (every > upTo) continue;
      if (isOnce) hours.add(every);
      else if (every >= LEAST_COLUMN_HOURS) {
        for (let at = every; at <= upTo + TOLERANCE; at += every) hours.add(roundHours(at));
      }
    }
  }
  return [...hours].sort((a, b) => a - b);
}

function reasonAt(item: ScheduleItem, hours: number, per: EngineHoursPer): MilestoneReason | null {
  for (const trigger of item.triggers) {
    const own = engineHours(item, trigger, per);
    if (own && (own.isOnce ? own.every === hours : isMultiple(hours, own.every)))
      return { kind: 'onHours', trigger };
  }
  for (const trigger of item.triggers) {
    const own = engineHours(item, trigger, per);
    if (own && !own.isOnce && own.every < LEAST_COLUMN_HOURS) return { kind: 'often', trigger };
  }
  const dated = item.triggers.find(isDated);
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

/**
 * The column that a machine of `life` hours comes to next, of columns that begin anew after the last; null where there are none. On a
 * column it is the one after it.
 */
export function nextMilestone(columns: readonly number[], life: number): number | null {
  const last = columns.at(-1);
  if (last === undefined) return null;
  const within = life % last;
  return columns.find((hours) => hours > within) ?? last;
}
