import { dayNumber } from '../calendar/civilDate.js';
import type { CivilDate } from '../calendar/civilDate.js';
import type { ReachedDates } from '../usage/usageModel.js';
import { baselineOf, extensionSince } from './baseline.js';
import type { Baseline, EntryIntoService, ItemHistory } from './baseline.js';
import { compareStates } from './dueState.js';
import type { DueState } from './dueState.js';
import type { ScheduleItem } from './item.js';
import { calendarLimit, extensionLimits } from './limit.js';
import type { Limit } from './limit.js';
import { limitsOf } from './limits.js';
import type { FindItem, Limits, Unresolved } from './limits.js';
import type { Standing } from './standing.js';
import { nextStorage } from './storageTrigger.js';
import { countsHours } from './trigger.js';

/** Days ahead within which an item counts as coming. */
const COMING_DAYS = 30;

/** How an item stands and why. The dates are those on which it falls due, by whichever limit comes first. */
export interface DueAnswer extends ReachedDates {
  readonly item: ScheduleItem;
  readonly state: DueState;
  readonly baseline: Baseline;
  /** the deciding one first; empty without a baseline */
  readonly limits: readonly Limit[];
  /** the limit that comes (or came) first */
  readonly deciding: Limit | null;
  readonly unresolved: readonly Unresolved[];
}

function stateOfLimit(limit: Limit, today: number): DueState {
  if (limit.overdue) return 'overdue';
  if (limit.ripe) return 'ripe';
  if (limit.expectedOn !== null && dayNumber(limit.expectedOn) - today <= COMING_DAYS) return 'coming';
  return 'fine';
}

/** The stronger state first; within a state the earlier date, then the interval that is used up further. */
function compareLimits(a: Limit, b: Limit, today: number): number {
  const byState = compareStates(stateOfLimit(a, today), stateOfLimit(b, today));
  if (byState !== 0) return byState;
  if (a.expectedOn !== b.expectedOn) {
    if (a.expectedOn === null) return 1;
    if (b.expectedOn === null) return -1;
    return a.expectedOn < b.expectedOn ? -1 : 1;
  }
  return b.used - a.used;
}

function earlier(a: CivilDate | null, b: CivilDate | null): CivilDate | null {
  if (a === null || b === null) return a ?? b;
  return a < b ? a : b;
}

function datesOf(limits: readonly Limit[], deciding: Limit | null): ReachedDates {
  if (!deciding) return { earlyOn: null, expectedOn: null, lateOn: null };
  let { earlyOn, expectedOn, lateOn } = deciding;
  if (deciding.overdue) return { earlyOn, expectedOn, lateOn };
  for (const limit of limits) {
    earlyOn = earlier(earlyOn, limit.earlyOn);
    expectedOn = earlier(expectedOn, limit.expectedOn);
    lateOn = earlier(lateOn, limit.lateOn);
  }
  return { earlyOn, expectedOn, lateOn };
}

/** Limits of an item that is only done in storage: they count from the lay-up, so nobody needs to know the last time. */
function storageOnly(item: ScheduleItem, standing: Standing): Limits | null {
  const limits: Limit[] = [];
  for (const trigger of item.triggers) {
    if (trigger.kind !== 'storage') return null;
    const span = nextStorage(trigger, null, standing);
    if (span) limits.push(calendarLimit(trigger, span.from, span.on, item, standing));
  }
  return item.triggers.length ? { limits, unresolved: [] } : null;
}

/** The limits that count for an item; null where nothing says from when. */
function countingLimits(
  item: ScheduleItem,
  baseline: Baseline,
  history: ItemHistory,
  entry: EntryIntoService,
  standing: Standing,
  find: FindItem,
): Limits | null {
  const extension = extensionSince(baseline, history);
  if (extension) return { limits: extensionLimits(extension, item, standing), unresolved: [] };
  return baseline.kind === 'noRecord'
    ? storageOnly(item, standing)
    : limitsOf(item, baseline, entry, standing, find);
}

function stateOf(item: ScheduleItem, deciding: Limit | null, standing: Standing): DueState {
  const state = deciding ? stateOfLimit(deciding, standing.today) : 'fine';
  const rests = standing.isLaidUp && item.triggers.length > 0 && item.triggers.every(countsHours);
  return state === 'fine' && rests ? 'resting' : state;
}

/**
 * Whether `item` is due, and why: **the rule for "due"**. Every trigger counts from the baseline, and the first to come decides.
 * A judgement made since (kept, deferred) stands in place of the triggers. An item whose last time nobody knows is `noRecord`.
 */
export function dueOf(
  item: ScheduleItem,
  history: ItemHistory,
  entry: EntryIntoService,
  standing: Standing,
  find: FindItem = () => undefined,
): DueAnswer {
  const baseline = baselineOf(history, entry);
  const counting = countingLimits(item, baseline, history, entry, standing, find);
  if (!counting) {
    const dates = { earlyOn: null, expectedOn: null, lateOn: null };
    return { item, state: 'noRecord', baseline, limits: [], deciding: null, unresolved: [], ...dates };
  }
  const limits = [...counting.limits].sort((a, b) => compareLimits(a, b, standing.today));
  const deciding = limits[0] ?? null;
  return {
    item,
    state: stateOf(item, deciding, standing),
    baseline,
    limits,
    deciding,
    unresolved: counting.unresolved,
    ...datesOf(limits, deciding),
  };
}
