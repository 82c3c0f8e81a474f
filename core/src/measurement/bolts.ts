import { judgeBolts } from '../check/bolts.js';
import { defineMeasurement, field } from './define.js';

/** How many of some bolts had moved. */
export interface BoltsMeasurement {
  readonly kind: 'bolts';
  readonly label: string;
}

export const bolts = defineMeasurement<BoltsMeasurement>({
  fields: () => [field('loose', 'Loose', null), field('checked', 'Checked', null)],
  judge: (_bolts, { loose, checked }) =>
    loose === undefined || checked === undefined || loose > checked
      ? null
      : judgeBolts(loose, checked) === 'allTight',
  wanted: () => null,
});
