import fc from 'fast-check';
import { addDays, civilDate } from '../calendar/civilDate.js';
import { averageUsage } from './averageUsage.js';

const TODAY = civilDate('2026-06-01');
const point = (on: string, life: number) => ({ on: civilDate(on), life });

describe('the average of the last 90 days', () => {
  it('gives hours a week and the day an hour is reached', () => {
    // 2 March to 31 May is 90 days, in which it ran 180 h: 2 h a day, 14 a week.
    const usage = averageUsage([point('2026-03-02', 300), point('2026-05-31', 480)], TODAY);
    expect(usage.hoursPerWeek).toBeCloseTo(14);
    // 20 h more take 10 days from the last reading.
    expect(usage.dateReached(500)).toBe('2026-06-10');
    expect(usage.dateReached(481)).toBe('2026-06-01');
  });

  it('leaves out what lies further back', () => {
    const usage = averageUsage(
      [point('2025-06-01', 0), point('2026-03-03', 10), point('2026-06-01', 190)],
      TODAY,
    );
    expect(usage.hoursPerWeek).toBeCloseTo(14);
  });

  it('tells when an hour was passed, on a straight line between readings', () => {
    const usage = averageUsage([point('2026-05-01', 100), point('2026-05-11', 110)], TODAY);
    expect(usage.dateReached(105)).toBe('2026-05-06');
    expect(usage.dateReached(90)).toBeNull();
    expect(usage.dateReached(100)).toBe('2026-05-01');
  });

  it('gives no forecast from too little, from standing still, or beyond ten years', () => {
    expect(averageUsage([], TODAY).dateReached(10)).toBeNull();
    expect(averageUsage([point('2026-05-30', 5), point('2026-06-01', 9)], TODAY).hoursPerWeek).toBeNull();
    expect(averageUsage([point('2026-03-02', 5), point('2026-06-01', 5)], TODAY).dateReached(6)).toBeNull();
    expect(
      averageUsage([point('2026-03-02', 5), point('2026-06-01', 5.1)], TODAY).dateReached(6000),
    ).toBeNull();
  });

  it('never dates what is still to come before today', () => {
    const usage = averageUsage([point('2026-02-01', 0), point('2026-05-10', 98)], TODAY);
    expect(usage.dateReached(100)).toBe(TODAY);
  });

  it('never dates more hours earlier than fewer', () => {
    const history = fc.array(fc.double({ min: 0, max: 60, noNaN: true }), { minLength: 2, maxLength: 30 });
    fc.assert(
      fc.property(
        history,
        fc.double({ min: 0, max: 900, noNaN: true }),
        fc.double({ min: 0, max: 90, noNaN: true }),
        (weeks, from, more) => {
          let life = 0;
          const points = weeks.map((hours, week) => {
            life += hours;
            return { on: addDays(TODAY, (week - weeks.length) * 7), life };
          });
          const usage = averageUsage(points, TODAY);
          const [a, b] = [usage.dateReached(from), usage.dateReached(from + more)];
          return a === null || b === null || a <= b;
        },
      ),
      { seed: 3 },
    );
  });
});
