import type { CivilDate } from '../calendar/civilDate.js';
import type { Consequence } from '../component/consequence.js';
import { roundHours } from '../meter/lifeHours.js';
import type { HouseRules } from '../site/houseRules.js';
import type { Action, ScheduleItem } from './item.js';
import { furtherBy } from './limit.js';
import type { MeterName, Trigger } from './trigger.js';
import { everyCalendarOf } from './triggers/everyCalendar.js';
import { hoursOf } from './triggers/everyHours.js';

/** Only what is looked at or tightened can come out clean; grease and settings are given each time. */
const LOOKED_AT: readonly Action[] = ['inspect', 'tighten'];

/**
 * Whether a check of an item that came out clean lets the next one be left out, once: where the house says so, never of what can wreck a
 * machine or hurt somebody, and never under warranty.
 */
export function mayLeaveOutNext(
  { action, consequence }: { readonly action: Action; readonly consequence: Consequence },
  { recheck }: Pick<HouseRules, 'recheck'>,
  isUnderWarranty: boolean,
): boolean {
  return (
    recheck === 'mayLeaveOut' && LOOKED_AT.includes(action) && consequence !== 'ruin' && !isUnderWarranty
  );
}

/** Until when an item rests whose next time is left out. */
export interface AfterNext {
  /** life hours on `untilMeter`; null where it counts none */
  readonly untilLife: number | null;
  readonly untilMeter: MeterName | null;
  readonly untilOn: CivilDate | null;
}

/** What counts until the first time only. */
const AT_FIRST: readonly Trigger['kind'][] = ['firstHours', 'firstCalendar'];
/** The next time is left out: the one after it. */
const TIMES = 2;

/**
 * When an item that was done on `on` is due once its next time is left out: two of its regular intervals further on, on each of its
 * scales; null where it has no regular interval, or one that a re-check point cannot hold. `lifeOn`: what a meter stands at, null where the machine has none of that name.
 */
export function afterNext(
  item: ScheduleItem,
  on: CivilDate,
  lifeOn: (meter: MeterName) => number | null,
): AfterNext | null {
  const regular = everyCalendarOf(item);
  const every = item.triggers.find((trigger) => trigger.kind === 'everyHours');
  const others = item.triggers.filter((trigger) => trigger !== every && trigger !== regular);
  if (others.some(({ kind }) => !AT_FIRST.includes(kind))) return null;
  const from = every ? lifeOn(every.meter) : null;
  const untilLife = every && from !== null ? roundHours(from + TIMES * hoursOf(every, item)) : null;
  const untilOn = regular ? furtherBy(on, regular, TIMES) : null;
  if (untilLife === null && untilOn === null) return null;
  return { untilLife, untilMeter: untilLife === null || !every ? null : every.meter, untilOn };
}
