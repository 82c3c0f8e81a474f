import type {
  Action,
  Consequence,
  DueState,
  Extension,
  MeterName,
  Trigger,
  UnresolvedCode,
  Component,
  WorkPlace,
} from '@yugator/core';

/** From where an item's interval counts. */
export class BaselineDto {
  kind!: 'completion' | 'declared' | 'enteredService' | 'noRecord';
  /** civil date; null with no record */
  on!: string | null;
  /** life hours of the engine; null with no record */
  life!: number | null;
}

/** A judgement that stands in place of the triggers. */
export class JudgedRuleDto {
  kind!: Extension['kind'];
}

/** Where one trigger of an item runs out. */
export class LimitDto {
  kind!: 'hours' | 'calendar';
  /** what sets it: the trigger as the book has it, or a judgement in its place */
  rule!: Trigger | JudgedRuleDto;
  /** the meter that an hours limit counts on; null for a calendar limit */
  meter!: MeterName | null;
  /** due at these life hours of the meter; null for a calendar limit */
  at!: number | null;
  /** due on this civil date; null for an hours limit */
  on!: string | null;
  /** hours or days left; negative when over */
  left!: number;
  /** share of the interval used up, 1 at the due point */
  used!: number;
  overdue!: boolean;
  ripe!: boolean;
  /** civil dates on which it falls due: the 10 % point, expected, the 90 % point; null where none can be given */
  earlyOn!: string | null;
  expectedOn!: string | null;
  lateOn!: string | null;
}

/** A trigger that gives no limit though it should. */
export class UnresolvedDto {
  code!: UnresolvedCode;
  trigger!: Trigger;
}

/** How an item stands and why. */
export class DueLineDto {
  itemId!: string;
  itemName!: string;
  action!: Action;
  /** none while a line of an older version waits for the crew lead to say what it is done to */
  components!: Component[];
  /** the book it stands in; null for an item of the machine's own */
  bookName!: string | null;
  state!: DueState;
  /** what lateness costs */
  consequence!: Consequence;
  baseline!: BaselineDto;
  /** the deciding one first; empty with no record */
  limits!: LimitDto[];
  unresolved!: UnresolvedDto[];
  /** civil dates on which it falls due by whichever limit comes first */
  earlyOn!: string | null;
  expectedOn!: string | null;
  lateOn!: string | null;
  /** earlier times it was done, latest first */
  done!: DoneDto[];
  /** hands-on minutes the book allows */
  minutes!: number;
  /** where it is done */
  place!: WorkPlace;
}

/** A time an item was done. */
export class DoneDto {
  on!: string;
  life!: number;
}
