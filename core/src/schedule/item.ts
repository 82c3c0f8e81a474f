/** After how much running an item is due again. */
export interface EveryHours {
  readonly kind: 'everyHours';
  readonly hours: number;
}

/** After how long an item is due again, however little the machine ran. */
export interface EveryCalendar {
  readonly kind: 'everyCalendar';
  readonly count: number;
  readonly unit: 'day' | 'month';
}

/** What makes an item due. An item with several is due at the first of them to come. */
export type Trigger = EveryHours | EveryCalendar;

/** An action on a component that a service book asks for. */
export interface ScheduleItem {
  readonly id: string;
  /** in the words of the shop: "Engine oil and filter" */
  readonly name: string;
  readonly triggers: readonly Trigger[];
}
