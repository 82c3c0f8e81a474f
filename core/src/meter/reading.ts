import type { Instant } from '../calendar/instant.js';
import type { LifeHours } from './lifeHours.js';

/** What a meter showed at a moment. */
export interface Reading {
  readonly at: Instant;
  /** hours, as shown */
  readonly shown: number;
}

/** A reading with what it means for the machine. */
export interface LifeReading extends Reading {
  readonly life: LifeHours;
}
