import { civilDate } from '../calendar/civilDate.js';
import type { Measurement } from '../measurement/measurement.js';
import { earlierOf, lastFigures, strokesSoFar } from './earlier.js';
import type { EarlierFinding } from './earlier.js';
import type { FoundFields } from './finding.js';

const LEFT: Measurement = { kind: 'grease', label: 'Strokes at left hub', usual: 3 };
const RIGHT: Measurement = { kind: 'grease', label: 'Strokes at right hub', usual: 3 };
const REAR: Measurement = {
  kind: 'tyres',
  label: 'Pressure, rear pair',
  low: 69,
  high: 83,
  sidewallMaximum: 97,
};

const visit = (on: string, measurement: Measurement, found: FoundFields): EarlierFinding => ({
  on: civilDate(on),
  finding: { key: 'k', measurement, look: null, found, isGood: true },
});

const EARLIER = [
  visit('2026-04-01', LEFT, { strokes: 2 }),
  visit('2026-10-01', LEFT, { strokes: 9, note: 'squeaks' }),
  visit('2026-05-01', LEFT, { strokes: 2 }),
  visit('2026-06-01', LEFT, { strokes: 3 }),
  visit('2026-07-01', LEFT, { strokes: 4 }),
  visit('2026-07-01', RIGHT, { strokes: 1 }),
  visit('2026-08-01', REAR, { left: 60, right: 80, 'again.left': 80, 'again.right': 81 }),
];

describe('what earlier visits found', () => {
  it('is of the same fitting alone, latest first', () => {
    expect(earlierOf(LEFT, EARLIER).map(({ on }) => on)).toEqual([
      ...['2026-10-01', '2026-07-01', '2026-06-01', '2026-05-01', '2026-04-01'],
    ]);
    expect(earlierOf({ ...RIGHT, kind: 'battery' } as Measurement, EARLIER)).toEqual([]);
  });

  it('tells of strokes the average of all and the last four', () => {
    // (2 + 9 + 2 + 3 + 4) / 5.
    expect(strokesSoFar(earlierOf(LEFT, EARLIER))).toEqual({ average: 4, last: [9, 4, 3, 2] });
    expect(strokesSoFar([])).toBeNull();
    expect(strokesSoFar([visit('2026-04-01', LEFT, { note: 'none left' })])).toBeNull();
  });

  it('tells of figures the last ones, after setting where it was set', () => {
    expect(lastFigures(earlierOf(REAR, EARLIER), 'metric')).toEqual({
      on: '2026-08-01',
      words: 'left 80 kPa, right 81 kPa',
    });
    expect(lastFigures(earlierOf(RIGHT, EARLIER), 'us')).toEqual({ on: '2026-07-01', words: '1' });
    expect(lastFigures([], 'us')).toBeNull();
    const looked = visit('2026-09-01', REAR, { sight: 'whole' });
    expect(lastFigures(earlierOf(REAR, [...EARLIER, looked]), 'us')?.on).toBe('2026-08-01');
    expect(lastFigures([looked], 'us')).toBeNull();
  });
});
