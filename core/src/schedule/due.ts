import { daysBetween } from '../calendar/civilDate.js';
import type { CivilDate } from '../calendar/civilDate.js';
import { baselineOf } from './baseline.js';
import type { Baseline, EntryIntoService, ItemHistory } from './baseline.js';
import { compareStates } from './dueState.js';
import type { DueState } from './dueState.js';
import type { ScheduleItem } from './item.js';
import { limitOf } from './limit.js';
import type { Limit, Standing } from './limit.js';

/** Days ahead within which an item counts as coming. */
const COMING_DAYS = 30;

/** How an item stands and why. */
export interface DueAnswer {
  readonly item: ScheduleItem;
  readonly state: DueState;
  readonly baseline: Baseline;
  /** one for each trigger, the deciding one first; empty without a baseline */
  readonly limits: readonly Limit[];
  /** the limit that comes (or came) first */
  readonly deciding: Limit | null;
  /** the day it falls due, by hours or calendar, whichever is expected first */
  readonly expectedOn: CivilDate | null;
}

function stateOfLimit(limit: Limit, today: CivilDate): DueState {
  if (limit.overdue) return 'overdue';
  if (limit.ripe) return 'ripe';
  if (limit.expectedOn !== null && daysBetween(today, limit.expectedOn) <= COMING_DAYS) return 'coming';
  return 'fine';
}

/** The stronger state first; within a state the earlier date, then the interval that is used up further. */
function compareLimits(a: Limit, b: Limit, today: CivilDate): number {
  const byState = compareStates(stateOfLimit(a, today), stateOfLimit(b, today));
  if (byState !== 0) return byState;
  if (a.expectedOn !== b.expectedOn) {
    if (a.expectedOn === null) return 1;
    if (b.expectedOn === null) return -1;
    return a.expectedOn < b.expectedOn ? -1 : 1;
  }
  return b.used - a.used;
}

/**
 * Whether `item` is due, and why: **the rule for "due"**. Every trigger counts from the baseline, and the first to come decides.
 * An item whose last time nobody knows is `noRecord`.
 */
export function dueOf(
  item: ScheduleItem,
  history: ItemHistory,
  entry: EntryIntoService,
  standing: Standing,
): DueAnswer {
  const baseline = baselineOf(history, entry);
  if (baseline.kind === 'noRecord') {
    return { item, state: 'noRecord', baseline, limits: [], deciding: null, expectedOn: null };
  }
  const limits = item.triggers
    .map((trigger) => limitOf(trigger, baseline, standing))
    .sort((a, b) => compareLimits(a, b, standing.today));
  const deciding = limits[0] ?? null;
  return {
    item,
    state: deciding ? stateOfLimit(deciding, standing.today) : 'fine',
    baseline,
    limits,
    deciding,
    expectedOn: deciding ? deciding.expectedOn : null,
  };
}
