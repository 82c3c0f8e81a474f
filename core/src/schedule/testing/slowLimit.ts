import type { CivilDate } from '../../calendar/civilDate.js';
import type { ServicePoint } from '../baseline.js';
import type { SlowMeter } from './slowMeter.js';

/** Where one rule of an item runs out. */
export interface SlowLimit {
  /** hours of this meter, or a date */
  readonly meter: SlowMeter | null;
  readonly at: number;
  readonly on: CivilDate | null;
  readonly left: number;
  readonly window: number;
  readonly expectedOn: CivilDate | null;
}

/** Hours at the hundredth that is stored. */
export const cents = (hours: number) => Math.round(hours * 100) / 100;

/** A point as text that sorts as it comes. */
export const plain = (point: ServicePoint) =>
  `${point.on} ${String(Math.round(point.life * 100)).padStart(9, '0')}`;

/** Points in the order they came. */
export const inOrder = <P extends ServicePoint>(points: readonly P[]) =>
  [...points].sort((a, b) => (plain(a) < plain(b) ? -1 : 1));
