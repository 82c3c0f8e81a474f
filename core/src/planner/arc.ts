import { one } from './dense.js';
import type { PlannerInstance, PlannerItem, PlannerMachine } from './instance.js';
import { latenessCost, pastLimit, shareOf, usedOn } from './lateness.js';
import type { Used } from './lateness.js';

/** An item of a machine whose times are looked at. */
export interface Looked {
  readonly instance: PlannerInstance;
  readonly machine: PlannerMachine;
  readonly item: PlannerItem;
  /** its place in the machine's `items` */
  readonly place: number;
}

/** From one time that an item is done (null: as it stands today) to the next, or to the end without a next. */
export interface Arc {
  readonly from: number | null;
  readonly to: number;
  readonly isEnd: boolean;
}

/** Work that is done once is a fortnight late before it is worse. */
const ONCE_LIMIT = 14;
/** Done again only so far past its limit: later plans are no plans. */
const MOST_SHARE = 2.2;
/** What was done just before the lay-up is not done again for it. */
const FRESH_SHARE = 0.2;
/** Beyond so many days a machine that is not ready is simply not ready. */
const MOST_UNREADY = 30;
/** A mark of the meter that is done early throws less away: the next one comes no sooner. */
const MARK_WASTE = 0.25;
/** Of the set-up that comes with a repeat, so much is carried past the horizon; of what repeats rarely, less. */
const END_SHARE = 0.25;
const END_SHARE_RARE = 0.3;

/** Whether an item last done on `from` is still to be done before the season. */
function mustWake({ machine: { season }, item }: Looked, from: number | null): boolean {
  return season !== null && item.wakesUp && (from === null || from < season.wakeFrom);
}

/** Whether an item last done on `from` is still to be done for the lay-up. */
function mustLayUp({ machine, item }: Looked, from: number | null): boolean {
  const { layUp } = machine;
  if (!layUp || !item.laysUp || (from !== null && from >= layUp.end)) return false;
  return shareOf(item, usedOn(machine, item, from, layUp.end)) > FRESH_SHARE;
}

function isLockedOn({ machine, place }: Looked, day: number): boolean {
  return machine.locked.some((visit) => visit.day === day && visit.items.includes(place));
}

/** Whether a settled visit that does the item lies between. */
function jumpsLocked({ machine, place }: Looked, { from, to }: Arc): boolean {
  return machine.locked.some(
    ({ day, items }) => (from === null || day > from) && day < to && items.includes(place),
  );
}

/** Whether an item may be done again at the end of an arc. */
export function mayBeDone(of: Looked, { from, to }: Arc, share: number): boolean {
  const { item, machine } = of;
  // What somebody settled may be done on its day, whatever speaks against it.
  if (isLockedOn(of, to)) return true;
  if (to < item.notBefore) return false;
  const { season, layUp } = machine;
  const isWoken = mustWake(of, from) && season !== null && to >= season.wakeFrom && to < season.start;
  const isLaidUp = mustLayUp(of, from) && layUp !== null && to >= layUp.end;
  if (share < item.leastShare && !isWoken && !isLaidUp) return false;
  return item.hoursToMark !== null || share <= MOST_SHARE || from === null;
}

/** What it costs that a machine is not ready for its season, or for its rest. */
function unreadyCost(of: Looked, { from, to }: Arc): number {
  const { instance, machine, item } = of;
  const { season, layUp } = machine;
  let cost = 0;
  if (season && to > season.ready) {
    const isUnready =
      mustWake(of, from) ||
      ((from === null || from < season.ready) &&
        shareOf(item, usedOn(machine, item, from, season.ready)) > 1);
    if (isUnready) cost += instance.readyCost * Math.min(MOST_UNREADY, to - season.ready);
  }
  if (layUp && to > layUp.by && mustLayUp(of, from)) cost += instance.layUpCost * (to - layUp.by);
  return cost;
}

/** What of the next time is carried past the horizon, so that a plan does not run everything down. */
function carriedCost({ instance: { horizon }, machine, item }: Looked, share: number): number {
  const perDay = Math.max(1e-6, one(machine.hoursBy, horizon) / horizon);
  const interval = Math.min(item.hours ? item.hours / perDay : Infinity, item.days ?? Infinity);
  const setUp = END_SHARE * machine.setUp * (interval < horizon ? 1 : END_SHARE_RARE);
  return (item.minutes + setUp) * Math.min(1, Math.max(0, share));
}

/** The part of a full interval that is thrown away. */
function wasteCost({ item }: Looked, share: number): number {
  const left = 1 - Math.min(1, Math.max(0, share));
  return item.worth * (item.hoursToMark === null ? 1 : MARK_WASTE) * left;
}

/** Lateness up to a day; what ran over before today is not to be helped. */
function lateCost({ machine, item }: Looked, from: number | null, used: Used): number {
  const cost = latenessCost(machine, item, used);
  if (from !== null) return cost;
  return Math.max(0, cost - latenessCost(machine, item, usedOn(machine, item, null, 0)));
}

/** What an arc of an item costs besides minutes of work, by what for. */
export interface ArcParts {
  /** past its limit */
  readonly late: number;
  /** not ready for the season, or not laid up */
  readonly unready: number;
  /** life that is thrown away */
  readonly thrownAway: number;
  /** of the next time, carried past the horizon */
  readonly carried: number;
}

const NOTHING: ArcParts = { late: 0, unready: 0, thrownAway: 0, carried: 0 };

function onceParts(
  of: Looked,
  { from, to, isEnd }: Arc,
  once: NonNullable<PlannerItem['once']>,
): ArcParts | null {
  const { item } = of;
  if (from !== null) return isEnd ? NOTHING : null;
  if (!isEnd && to < Math.max(once.from, item.notBefore) && !isLockedOn(of, to)) return null;
  return { ...NOTHING, late: item.latePerDay * pastLimit(to - once.due, ONCE_LIMIT) };
}

/** What an arc of an item costs besides minutes of work; null where it may not be. */
export function arcParts(of: Looked, arc: Arc): ArcParts | null {
  const { machine, item } = of;
  if (jumpsLocked(of, arc)) return null;
  if (item.once) return onceParts(of, arc, item.once);
  const used = usedOn(machine, item, arc.from, arc.to);
  const share = shareOf(item, used);
  if (!arc.isEnd && !mayBeDone(of, arc, share)) return null;
  return {
    late: lateCost(of, arc.from, used),
    unready: unreadyCost(of, arc),
    thrownAway: arc.isEnd ? 0 : wasteCost(of, share),
    carried: arc.isEnd ? carriedCost(of, share) : 0,
  };
}

/** All of it together; Infinity where it may not be. */
export function arcCost(of: Looked, arc: Arc): number {
  const parts = arcParts(of, arc);
  return parts ? parts.late + parts.unready + parts.thrownAway + parts.carried : Infinity;
}
