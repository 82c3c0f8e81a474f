import type { DueState } from '@yugator/core';

/** From where an item's interval counts. */
export class BaselineDto {
  kind!: 'completion' | 'declared' | 'enteredService' | 'noRecord';
  /** civil date; null with no record */
  on!: string | null;
  /** life hours; null with no record */
  life!: number | null;
}

/** Where one trigger of an item runs out. */
export class LimitDto {
  kind!: 'hours' | 'calendar';
  /** the interval: hours, days or months */
  every!: number;
  unit!: 'hour' | 'day' | 'month';
  /** due at these life hours; null for a calendar limit */
  at!: number | null;
  /** due on this civil date; null for an hours limit */
  on!: string | null;
  /** hours or days left; negative when over */
  left!: number;
  /** share of the interval used up, 1 at the due point */
  used!: number;
  overdue!: boolean;
  ripe!: boolean;
  /** civil date on which it falls due; null where none can be given */
  expectedOn!: string | null;
}

/** How an item stands and why. */
export class DueLineDto {
  itemId!: string;
  itemName!: string;
  state!: DueState;
  baseline!: BaselineDto;
  /** the deciding one first; empty with no record */
  limits!: LimitDto[];
  expectedOn!: string | null;
  /** earlier times it was done, latest first */
  done!: DoneDto[];
  /** hands-on minutes the book allows */
  minutes!: number;
}

/** A time an item was done. */
export class DoneDto {
  on!: string;
  life!: number;
}
