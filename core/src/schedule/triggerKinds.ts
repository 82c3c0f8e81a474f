import { isRecord, keysOf } from '../names/record.js';
import type { ScheduleItem } from './item.js';
import type { Limit } from './limit.js';
import type { MeterName, Trigger } from './trigger.js';
import type { FindItem, Interval, LimitFrom, MeterPoint, ParsedTrigger } from './triggers/define.js';
import type { TriggerKind, UnresolvedCode } from './triggers/define.js';
import { everyCalendar } from './triggers/everyCalendar.js';
import { everyHours } from './triggers/everyHours.js';
import { everyNth } from './triggers/everyNth.js';
import { firstCalendar } from './triggers/firstCalendar.js';
import { firstHours } from './triggers/firstHours.js';
import { seasonEdge } from './triggers/seasonEdge.js';
import { storage } from './triggers/storage.js';

type Kinds = { readonly [K in Trigger['kind']]: TriggerKind<Extract<Trigger, { kind: K }>> };

/** All kinds of trigger; the order is that in which a line says them. */
const KINDS: Kinds = {
  firstHours,
  firstCalendar,
  everyHours,
  everyCalendar,
  seasonEdge,
  everyNth,
  storage,
};

export const TRIGGER_KINDS = keysOf(KINDS);

function kindOf(trigger: Trigger): TriggerKind<Trigger> {
  // The definition of a kind is given triggers of that kind only.
  return KINDS[trigger.kind] as TriggerKind<Trigger>;
}

/** The trigger that a loose value from a file, a form or a table stands for, or what is wrong with it. */
export function parseTrigger(value: unknown): ParsedTrigger {
  if (!isRecord(value)) return { fault: 'kind' };
  const kind = TRIGGER_KINDS.find((each) => each === value['kind']);
  return kind ? KINDS[kind].parse(value) : { fault: 'kind' };
}

/** Whether a trigger counts for an item at this point of its life. */
export function counts(trigger: Trigger, item: ScheduleItem, { from, standing }: LimitFrom): boolean {
  const kind = kindOf(trigger);
  return from.kind === 'enteredService' ? kind.countsAtFirst(trigger, item, standing) : kind.countsAgain;
}

/** Where a trigger runs out, counted from `of.from`; or why nobody can tell. */
export function limitsOfTrigger(
  trigger: Trigger,
  item: ScheduleItem,
  of: LimitFrom,
): readonly Limit[] | UnresolvedCode {
  return kindOf(trigger).limits(trigger, item, of);
}

/** Whether a trigger stands still while the machine does not work: it counts running, or days in use. */
export function standsStill(trigger: Trigger, item: Pick<ScheduleItem, 'triggers'>, find: FindItem): boolean {
  return kindOf(trigger).standsStill(trigger, item, find);
}

/** The cell that holds a trigger in a chart that counts on `meter`; null where none can. */
export function cellOf(trigger: Trigger, meter: MeterName): ReturnType<TriggerKind<Trigger>['cell']> {
  return kindOf(trigger).cell(trigger, meter);
}

/** How long the interval of a trigger is, and in what; null where it has none. */
export function intervalOf(trigger: Trigger): Interval | null {
  return kindOf(trigger).interval(trigger);
}

/** The hours that a trigger counts on its meter; null where it counts none. */
export function onMeterOf(trigger: Trigger, item: Pick<ScheduleItem, 'dutyFactor'>): MeterPoint | null {
  return kindOf(trigger).onMeter(trigger, item);
}

/** Whether the calendar brings a trigger again and again, however little the machine runs. */
export function isDated(trigger: Trigger): boolean {
  return kindOf(trigger).isDated;
}
