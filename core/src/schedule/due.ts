import { dayNumber } from '../calendar/civilDate.js';
import type { CivilDate } from '../calendar/civilDate.js';
import type { ReachedDates } from '../usage/usageModel.js';
import { baselineOf, extensionSince } from './baseline.js';
import type { Baseline, EntryIntoService, ItemHistory } from './baseline.js';
import { consequenceOf } from './consequence.js';
import type { Consequence } from '../component/consequence.js';
import { compareStates } from './dueState.js';
import type { DueState } from './dueState.js';
import type { ScheduleItem } from './item.js';
import { judgedLimits } from './judgement.js';
import type { Limit } from './limit.js';
import { limitsOf } from './limits.js';
import type { Limits, Unresolved } from './limits.js';
import { standsStill } from './triggerKinds.js';
import type { FindItem } from './triggers/define.js';
import { storageLimit } from './triggers/storage.js';
import type { Standing } from './standing.js';

/** Days ahead within which an item counts as coming. */
const COMING_DAYS = 30;

/** How an item stands and why. The dates are those on which it falls due, by whichever limit comes first. */
export interface DueAnswer extends ReachedDates {
  readonly item: ScheduleItem;
  readonly state: DueState;
  /** what lateness costs */
  readonly consequence: Consequence;
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

const BEFORE_ALL = -Infinity;
const AFTER_ALL = Infinity;

/**
 * The day number on which a limit comes. One that was passed on a day that nobody knows came before all others. One without a day
 * comes any day now where it is ripe and the machine works, and never while it rests.
 */
function comesOn({ expectedOn, overdue, ripe }: Limit, { today, working }: Standing): number {
  if (expectedOn !== null) return dayNumber(expectedOn);
  if (overdue) return BEFORE_ALL;
  return ripe && working.works ? today : AFTER_ALL;
}

/** The limit that comes first decides, even if another is already ripe; one that was passed came before any that was not. */
function compareLimits(a: Limit, b: Limit, standing: Standing): number {
  if (a.overdue !== b.overdue) return a.overdue ? -1 : 1;
  const [onA, onB] = [comesOn(a, standing), comesOn(b, standing)];
  if (onA !== onB) return onA < onB ? -1 : 1;
  const { today } = standing;
  return compareStates(stateOfLimit(a, today), stateOfLimit(b, today)) || b.used - a.used;
}

/** `limits`, the one that comes first in front. */
function inOrder(limits: readonly Limit[], standing: Standing): readonly Limit[] {
  return limits.length < 2 ? limits : [...limits].sort((a, b) => compareLimits(a, b, standing));
}

function earlier(a: CivilDate | null, b: CivilDate | null): CivilDate | null {
  if (a === null || b === null) return a ?? b;
  return a < b ? a : b;
}

function datesOf(limits: readonly Limit[], deciding: Limit | null): ReachedDates {
  if (!deciding) return { earlyOn: null, expectedOn: null, lateOn: null };
  if (deciding.overdue || limits.length === 1) return deciding;
  let { earlyOn, expectedOn, lateOn } = deciding;
  for (const limit of limits) {
    earlyOn = earlier(earlyOn, limit.earlyOn);
    expectedOn = earlier(expectedOn, limit.expectedOn);
    lateOn = earlier(lateOn, limit.lateOn);
  }
  return { earlyOn, expectedOn, lateOn };
}

/** Limits of an item that is only done in storage: they count from the lay-up, so nobody needs to know the last time. */
function storageOnly(item: ScheduleItem, standing: Standing, ahead: number): Limits | null {
  const limits: Limit[] = [];
  for (const trigger of item.triggers) {
    if (trigger.kind !== 'storage') return null;
    const limit = storageLimit(trigger, item, null, standing, ahead);
    if (limit) limits.push(limit);
  }
  return item.triggers.length ? { limits, unresolved: [] } : null;
}

/** An item of a machine with its past, as it stands on a day. */
export interface ItemStanding {
  readonly item: ScheduleItem;
  readonly history: ItemHistory;
  readonly entry: EntryIntoService;
  readonly standing: Standing;
  readonly find: FindItem;
}

/**
 * The limits that count for an item, `ahead` of its regular intervals further on; null where nothing says from when. A judgement
 * made since the last time (kept, deferred) stands in place of the triggers.
 */
export function countingLimits(of: ItemStanding, baseline: Baseline, ahead = 0): Limits | null {
  const { item, history, standing } = of;
  const judgement = extensionSince(baseline, history);
  if (judgement) {
    return { limits: judgedLimits(judgement, item, standing, ahead), unresolved: [] };
  }
  return baseline.kind === 'noRecord'
    ? storageOnly(item, standing, ahead)
    : limitsOf(item, { from: baseline, entry: of.entry, standing, find: of.find, ahead });
}

/** Whether all that makes an item due stands still while the machine does not work; with it what is done together with it. */
export function itemStandsStill(item: ScheduleItem, find: FindItem): boolean {
  return item.triggers.length > 0 && item.triggers.every((trigger) => standsStill(trigger, item, find));
}

/** The dates on which an item falls due `ahead` of its regular intervals further on; null where nothing says. */
export function datesAhead(of: ItemStanding, ahead: number): ReachedDates | null {
  const counting = countingLimits(of, baselineOf(of.history, of.entry), ahead);
  const [deciding, ...others] = inOrder(counting?.limits ?? [], of.standing);
  return deciding ? datesOf([deciding, ...others], deciding) : null;
}

function stateOf(
  { item, standing, find }: ItemStanding,
  counting: Limits | null,
  deciding: Limit | null,
): DueState {
  if (!standing.working.works && itemStandsStill(item, find)) return 'resting';
  if (deciding) return stateOfLimit(deciding, standing.today);
  return counting && counting.unresolved.length === 0 ? 'fine' : 'noRecord';
}

/**
 * Whether an item is due, and why: **the rule for "due"**. Every trigger counts from the baseline, and the first to come decides.
 * While the machine does not work, what counts only its running or days in use rests, even if it was overdue before. An item whose
 * last time nobody knows, or none of whose triggers can count, is `noRecord`.
 */
export function dueOf(of: ItemStanding): DueAnswer {
  const { item, history, entry, standing } = of;
  const baseline = baselineOf(history, entry);
  const counting = countingLimits(of, baseline);
  const limits = inOrder(counting?.limits ?? [], standing);
  const deciding = limits[0] ?? null;
  const { earlyOn, expectedOn, lateOn } = datesOf(limits, deciding);
  return {
    item,
    state: stateOf(of, counting, deciding),
    consequence: consequenceOf(item),
    baseline,
    limits,
    deciding,
    unresolved: counting?.unresolved ?? [],
    earlyOn,
    expectedOn,
    lateOn,
  };
}
