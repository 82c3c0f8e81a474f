import { calendarLimit, hoursLimit } from '../testing/fixtures.js';
import { dateTicks, firstSpan, flagPlace, hoursOn, tapeScale, tickStep } from './tapeScale.js';

const TODAY = '2027-05-13';
const day = (days: number) => new Date(Date.parse(TODAY) + days * 86_400_000).toISOString().slice(0, 10);
/** One hour a day behind and ahead of 400 h, with a range that widens. */
const FACTS = {
  life: 400,
  behind: [
    { on: day(-100), life: 300 },
    { on: TODAY, life: 400 },
  ],
  ahead: Array.from({ length: 30 }, (_, week) => ({
    on: day(7 * week),
    expected: 400 + 7 * week,
    low: 400 + 5 * week,
    high: 400 + 10 * week,
  })),
};

describe('the hour tape', () => {
  it('shows the next eight weeks to begin with, a good third of it behind now', () => {
    expect(firstSpan(FACTS)).toBe(80);
    const scale = tapeScale(400, 80);
    expect(scale).toMatchObject({ from: 352, to: 480 });
    expect(scale.place(400)).toBeCloseTo(0.375);
    expect(tickStep(scale)).toBe(20);
    expect(firstSpan({ ...FACTS, ahead: [] })).toBe(20);
  });

  it('tells the hours of a day, before and after now', () => {
    expect(hoursOn(FACTS, day(-50))).toBeCloseTo(350);
    expect(hoursOn(FACTS, day(10))).toBeCloseTo(410);
    expect(hoursOn(FACTS, day(-500))).toBeNull();
  });

  it('prints dates apart from each other and from now', () => {
    const gap = 0.09;
    const ticks = dateTicks(FACTS, TODAY, tapeScale(400, 80), gap);
    expect(ticks.length).toBeGreaterThan(4);
    ticks
      .slice(1)
      .forEach(({ place }, index) => expect(place - (ticks[index]?.place ?? 0)).toBeGreaterThanOrEqual(gap));
    for (const { place } of ticks) expect(Math.abs(place - 0.375)).toBeGreaterThanOrEqual(gap);
  });

  it('flags hours where they are, and a date at the hours in which it may fall', () => {
    expect(flagPlace(FACTS, hoursLimit({ at: 437, left: 37 }))).toEqual({ hours: 437, low: 437, high: 437 });
    // 14 days on: 414 h expected, 410 to 420.
    expect(flagPlace(FACTS, calendarLimit({ on: day(14), left: 14 }))).toEqual({
      hours: 414,
      low: 410,
      high: 420,
    });
    expect(flagPlace(FACTS, calendarLimit({ on: day(-3), left: -3 }))).toEqual({
      hours: 400,
      low: 400,
      high: 400,
    });
  });

  it('flags another meter at the day it is expected', () => {
    const loader = hoursLimit({ meter: 'loader', at: 12, left: 2, expectedOn: day(7) });
    expect(flagPlace(FACTS, loader)?.hours).toBeCloseTo(407);
    expect(flagPlace(FACTS, { ...loader, expectedOn: null })).toBeNull();
  });
});
