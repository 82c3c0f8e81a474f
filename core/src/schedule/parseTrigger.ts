import { isRecord } from '../names/record.js';
import { HOURS_GRIDS, METERS } from './trigger.js';
import type { HoursGrid, MeterName, Trigger } from './trigger.js';

/** Why something is no trigger. */
export type TriggerFault =
  'kind' | 'hours' | 'count' | 'unit' | 'inUse' | 'meter' | 'grid' | 'season' | 'offset' | 'nth' | 'storage';

/** A trigger, or what is wrong with it. */
export type ParsedTrigger = { readonly trigger: Trigger } | { readonly fault: TriggerFault };

const MOST_HOURS = 20_000;
const MOST_COUNT = 3650;
/** Letters of the name of a season or a line, and characters of an id. */
const LONGEST_NAME = 80;

type Loose = Readonly<Record<string, unknown>>;

function isWithin(value: unknown, least: number, most: number): value is number {
  return typeof value === 'number' && Number.isFinite(value) && value >= least && value <= most;
}

function isWhole(value: unknown, least: number, most: number): value is number {
  return isWithin(value, least, most) && Number.isInteger(value);
}

function isName(value: unknown): value is string {
  return typeof value === 'string' && value.trim() !== '' && value.length <= LONGEST_NAME;
}

function meterOf({ meter }: Loose): MeterName | null {
  return METERS.find((name) => name === (meter ?? 'engine')) ?? null;
}

function gridOf({ grid }: Loose): HoursGrid | null | undefined {
  return (grid ?? null) === null ? null : HOURS_GRIDS.find((name) => name === grid);
}

function hoursTrigger(loose: Loose, kind: 'firstHours' | 'everyHours'): ParsedTrigger {
  const { hours } = loose;
  const meter = meterOf(loose);
  const grid = gridOf(loose);
  if (!isWithin(hours, 0.1, MOST_HOURS)) return { fault: 'hours' };
  if (meter === null) return { fault: 'meter' };
  if (grid === undefined) return { fault: 'grid' };
  return { trigger: kind === 'firstHours' ? { kind, hours, meter } : { kind, hours, meter, grid } };
}

function calendarTrigger(loose: Loose, kind: 'firstCalendar' | 'everyCalendar'): ParsedTrigger {
  const { count, unit } = loose;
  const inUse = loose['inUse'] ?? null;
  if (!isWhole(count, 1, MOST_COUNT)) return { fault: 'count' };
  if (unit !== 'day' && unit !== 'month') return { fault: 'unit' };
  if (inUse !== null && typeof inUse !== 'boolean') return { fault: 'inUse' };
  if (inUse && unit === 'month') return { fault: 'inUse' };
  return { trigger: { kind, count, unit, inUse } };
}

function seasonTrigger({ season, edge, offsetDays }: Loose): ParsedTrigger {
  const name = season ?? null;
  if (name !== null && !isName(name)) return { fault: 'season' };
  if (edge !== 'first' && edge !== 'last') return { fault: 'season' };
  if (!isWhole(offsetDays, -180, 180)) return { fault: 'offset' };
  return { trigger: { kind: 'seasonEdge', season: name, edge, offsetDays } };
}

function nthTrigger({ n, itemId, everyTimeAboveHours }: Loose): ParsedTrigger {
  const above = everyTimeAboveHours ?? null;
  if (!isWhole(n, 2, 50) || !isName(itemId)) return { fault: 'nth' };
  if (above !== null && !isWithin(above, 1, MOST_HOURS)) return { fault: 'nth' };
  return { trigger: { kind: 'everyNth', n, itemId, everyTimeAboveHours: above } };
}

/** The trigger that a loose value from a file, a form or a table stands for, or what is wrong with it. */
export function parseTrigger(value: unknown): ParsedTrigger {
  if (!isRecord(value)) return { fault: 'kind' };
  switch (value['kind']) {
    case 'firstHours':
    case 'everyHours':
      return hoursTrigger(value, value['kind']);
    case 'firstCalendar':
    case 'everyCalendar':
      return calendarTrigger(value, value['kind']);
    case 'seasonEdge':
      return seasonTrigger(value);
    case 'everyNth':
      return nthTrigger(value);
    case 'storage':
      return isWhole(value['days'], 1, 366)
        ? { trigger: { kind: 'storage', days: value['days'] } }
        : { fault: 'storage' };
    default:
      return { fault: 'kind' };
  }
}
