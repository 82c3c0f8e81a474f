import fc from 'fast-check';
import { Failures } from './failures.js';
import type { Patience } from './failures.js';

const PATIENCE: Patience = { free: 5, longestSeconds: 60, mostAnHour: 80 };
const HOUR_MS = 3_600_000;

describe('failures under one key', () => {
  it('cost nothing at first, then twice the wait each time, up to a minute', () => {
    const failures = new Failures();
    const waits: number[] = [];
    let now = 0;
    for (let attempt = 0; attempt < 14; attempt += 1) {
      now += failures.waitFor('a', PATIENCE, now);
      failures.add('a', now);
      waits.push(failures.waitFor('a', PATIENCE, now) / 1000);
    }
    expect(waits).toEqual([0, 0, 0, 0, 1, 2, 4, 8, 16, 32, 60, 60, 60, 60]);
  });

  it('are forgotten after an hour, and one that was no failure at once', () => {
    const failures = new Failures();
    for (let index = 0; index < 9; index += 1) failures.add('a', 0);
    expect(failures.waitFor('a', PATIENCE, 1)).toBeGreaterThan(0);
    expect(failures.waitFor('b', PATIENCE, 1)).toBe(0);
    expect(failures.waitFor('a', PATIENCE, HOUR_MS)).toBe(0);
    for (let index = 0; index < 5; index += 1) failures.add('c', 5);
    failures.takeBack('c', 5);
    expect(failures.waitFor('c', PATIENCE, 6)).toBe(0);
  });

  it('are at most so many within any hour, however the attempts are timed', () => {
    const strict: Patience = { free: 100, longestSeconds: 1, mostAnHour: 20 };
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 300_000 }), { maxLength: 300 }), (gaps) => {
        const failures = new Failures();
        const made: number[] = [];
        let now = 0;
        for (const gap of gaps) {
          now += gap;
          if (failures.waitFor('a', strict, now) > 0) continue;
          failures.add('a', now);
          made.push(now);
        }
        for (const at of made)
          expect(made.filter((time) => time > at - HOUR_MS && time <= at).length).toBeLessThanOrEqual(20);
      }),
      { seed: 1, numRuns: 100 },
    );
  });
});
