import { instant, MS_PER_HOUR } from '../calendar/instant.js';
import type { Instant } from '../calendar/instant.js';
import { firstSegment, segmentAt, toLife } from './segment.js';

const START = instant('2026-05-04T16:00:00Z');
const after = (hours: number) => (START + hours * MS_PER_HOUR) as Instant;
const OLD = { startsAt: START, offset: 0 };
const NEW = { startsAt: after(100), offset: 60 };

describe('a meter that was replaced', () => {
  it('counts from the moment of the change, and what is older than both as the first', () => {
    const at = (hours: number) => segmentAt([OLD, NEW], after(hours)).offset;
    expect([at(-1), at(0), at(99), at(100), at(101)]).toEqual([0, 0, 0, 60, 60]);
  });

  it('that never was is no meter', () => {
    expect(() => segmentAt([], START)).toThrow('A meter needs at least one segment.');
  });

  it('came with the hours of another machine: they are not this one’s', () => {
    // New to the fleet with 1,200 h of life behind it, on a meter that shows 300.
    expect(firstSegment(START, 1200, 300)).toEqual({ startsAt: START, offset: 900 });
    expect(firstSegment(START, 0, 300)).toEqual({ startsAt: START, offset: -300 });
  });
});

describe('readings', () => {
  const shown = (...list: [hours: number, shown: number][]) =>
    toLife(
      list.map(([hours, figure]) => ({ at: after(hours), shown: figure })),
      [OLD, NEW],
    ).map(({ life }) => life);

  it('stand in order of time whatever order they came in', () => {
    expect(shown([1, 1], [2, 2], [110, 5])).toEqual([1, 2, 65]);
    expect(shown([110, 5], [1, 1], [2, 2])).toEqual([1, 2, 65]);
  });

  it('of one moment stand in order of life, those of one figure as they came', () => {
    expect(shown([2, 5], [2, 3], [1, 2])).toEqual([2, 3, 5]);
    const twins = [
      { at: after(2), shown: 5 },
      { at: after(2), shown: 5 },
    ];
    expect(toLife(twins, [OLD])).toHaveLength(2);
  });
});
