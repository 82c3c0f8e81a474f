import type { Component } from '../component/components.js';
import type { Consequence } from '../component/consequence.js';
import type { Trigger } from './trigger.js';

/** What is done to a component. Only the first three are stronger and weaker forms of one another. */
export const ACTIONS = [
  'replace',
  'clean',
  'inspect',
  'grease',
  'sharpen',
  'adjust',
  'tighten',
  'charge',
] as const;
export type Action = (typeof ACTIONS)[number];

/** When an item counts as ripe, where that is not the usual tenth of its interval. */
export interface OwnWindow {
  /** hours before an hours limit */
  readonly hours: number | null;
  /** days before a calendar limit */
  readonly days: number | null;
}

/** An action on one or more components that a service book asks for. */
export interface ScheduleItem {
  readonly id: string;
  /** in the words of the shop: "Engine oil and filter" */
  readonly name: string;
  readonly action: Action;
  /** what it is done to; none while an older line waits for the crew lead to say so */
  readonly components: readonly Component[];
  /** what such an older line called its component, '' for all others: lines with the same words go together */
  readonly oldWords: string;
  readonly triggers: readonly Trigger[];
  /** ids of items that doing this one renews besides the weaker ones on its component */
  readonly renews: readonly string[];
  /** shortens hours triggers of hard conditions: 0.5 in dust halves them */
  readonly dutyFactor: number;
  readonly window: OwnWindow;
  /** what lateness costs, where the crew lead says so; null as its action and component have it */
  readonly consequence: Consequence | null;
}
