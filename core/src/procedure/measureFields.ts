import type { Dimension } from '../units/units.js';
import type { Measurement } from './step.js';

/** A figure that a measurement asks for. */
export interface MeasureField {
  readonly name: string;
  readonly label: string;
  /** null for a count */
  readonly dimension: Dimension | null;
}

function field(name: string, label: string, dimension: Dimension | null): MeasureField {
  return { name, label, dimension };
}

/** The figures that a measurement asks for. */
export function fieldsOf(measurement: Measurement): MeasureField[] {
  switch (measurement.kind) {
    case 'range':
      return [field('value', measurement.label, measurement.dimension)];
    case 'freePlay':
      return [field('left', 'Left', 'length'), field('right', 'Right', 'length')];
    case 'tyres':
      return [field('left', 'Left', 'pressure'), field('right', 'Right', 'pressure')];
    case 'battery':
      return [field('volts', measurement.label, 'voltage')];
    case 'charging':
      return [field('volts', 'Working speed', 'voltage'), field('idle', 'Idle', 'voltage')];
    case 'deck':
      return [
        field('left', 'Left', 'length'),
        field('right', 'Right', 'length'),
        field('front', 'Front', 'length'),
        field('rear', 'Rear', 'length'),
      ];
    case 'bladeTips':
      return [field('first', 'First tip', 'length'), field('second', 'Second tip', 'length')];
    case 'grease':
      return [field('strokes', 'Strokes', null)];
    case 'bolts':
      return [field('loose', 'Loose', null), field('checked', 'Checked', null)];
  }
}
