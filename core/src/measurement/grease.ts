import { judgeStrokes } from '../check/grease.js';
import { defineMeasurement, field } from './define.js';

/** Strokes that a fitting took. */
export interface GreaseMeasurement {
  readonly kind: 'grease';
  readonly label: string;
  readonly usual: number;
}

export const grease = defineMeasurement<GreaseMeasurement>({
  fields: () => [field('strokes', 'Strokes', null)],
  judge: ({ usual }, { strokes }) =>
    strokes === undefined ? null : judgeStrokes(strokes, usual) === 'usual',
  wanted: ({ usual }) => `usually ${usual}`,
});
