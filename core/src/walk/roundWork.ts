import { addDays } from '../calendar/civilDate.js';
import type { CivilDate } from '../calendar/civilDate.js';
import type { DueAnswer } from '../schedule/due.js';
import { bites } from '../schedule/dueState.js';
import { isInUse } from '../schedule/inUse.js';
import type { Action, ScheduleItem } from '../schedule/item.js';
import type { Trigger } from '../schedule/trigger.js';
import { hoursOf } from '../schedule/triggers/everyHours.js';

/** Work that comes at least so often, and is over so soon, needs no visit (common practice). */
const MOST_DAYS = 14;
const MOST_HOURS = 10;
const MOST_MINUTES = 10;

/** What makes an item due. */
type Timed = Pick<ScheduleItem, 'triggers' | 'dutyFactor'>;

function comesOften(trigger: Trigger, item: Timed): boolean {
  if (trigger.kind === 'everyHours') return hoursOf(trigger, item) <= MOST_HOURS;
  return trigger.kind === 'everyCalendar' && isInUse(trigger, item) && trigger.count <= MOST_DAYS;
}

/** Where work is done: on the walk-round, or in a visit with its job. */
export const WORK_PLACES = ['walk', 'visit'] as const;
export type WorkPlace = (typeof WORK_PLACES)[number];

/** Where an item is done: as its line says, else as is usual for it. */
export function workPlaceOf(item: Timed, minutes: number, said: WorkPlace | null): WorkPlace {
  return said ?? (isRoundWork(item, minutes) ? 'walk' : 'visit');
}

/** Whether everyday work waits for a walk-round: due, on no record, or due by tomorrow. */
export function waitsForWalk(
  { state, expectedOn }: Pick<DueAnswer, 'state' | 'expectedOn'>,
  today: CivilDate,
): boolean {
  return bites(state) || (state === 'coming' && expectedOn !== null && expectedOn <= addDays(today, 1));
}

/**
 * Whether an item is short everyday work, done on the walk-round without a job: at least every 10 hours or 14 days in use, and over in 10
 * minutes. Everything else is work of a visit.
 */
export function isRoundWork(item: Timed, minutes: number): boolean {
  return minutes <= MOST_MINUTES && item.triggers.some((trigger) => comesOften(trigger, item));
}

/**
 * Whether work may be noted as done without a job: what is done on the walk-round, and other short work that fits nothing new. What is
 * replaced takes its steps and comes off the shelf: it needs a job.
 */
export function mayBeDoneNow(action: Action, minutes: number, place: WorkPlace): boolean {
  return place === 'walk' || (minutes <= MOST_MINUTES && action !== 'replace');
}
