import { day } from '../schedule/testing/facts.js';
import { datePassed, lastRun, lifeAtDay } from './passed.js';

const read = (on: string, life: number) => ({ day: day(on), life });
const POINTS = [
  read('2026-05-01', 100),
  read('2026-05-11', 110),
  read('2026-05-12', 110),
  read('2026-05-14', 111),
];

describe('the day an hour was passed', () => {
  it.each([
    [100, '2026-05-01'],
    [100.5, '2026-05-01'],
    [101, '2026-05-02'],
    [109.9, '2026-05-10'],
    [110, '2026-05-11'],
    [110.4, '2026-05-12'],
    [110.5, '2026-05-13'],
    [111, '2026-05-14'],
  ])('%d h: %s', (life, on) => expect(datePassed(POINTS, life)).toBe(on));

  it('is not known before the first reading, nor after the last', () => {
    expect(datePassed(POINTS, 99.9)).toBeNull();
    expect(datePassed(POINTS, 111.1)).toBeNull();
    expect(datePassed([], 5)).toBeNull();
  });

  it('is the first of two readings on which it stood', () => {
    expect(datePassed([read('2026-05-01', 7), read('2026-05-09', 7)], 7)).toBe('2026-05-01');
  });

  it('is no day early for a fraction that binary numbers cannot hold', () => {
    // 0.3 of ten days is 2.9999…
    expect(datePassed([read('2026-05-01', 0), read('2026-05-11', 1)], 0.1 + 0.2)).toBe('2026-05-04');
    expect(datePassed([read('2026-05-01', 0.1), read('2026-05-11', 1.1)], 0.8)).toBe('2026-05-08');
  });
});

describe('the hours on a day', () => {
  it.each([
    ['2026-04-01', 100],
    ['2026-05-01', 100],
    ['2026-05-02', 101],
    ['2026-05-11', 110],
    ['2026-05-12', 110],
    ['2026-05-13', 110.5],
    ['2026-05-14', 111],
    ['2026-08-01', 111],
  ])('%s: %d', (on, life) => expect(lifeAtDay(POINTS, day(on))).toBeCloseTo(life, 9));

  it('are none where nothing was read', () => expect(lifeAtDay([], day('2026-05-01'))).toBe(0));
});

describe('the day a machine last ran', () => {
  it('is when its last hours were first read', () => {
    expect(lastRun(POINTS)).toBe(day('2026-05-14'));
    expect(lastRun(POINTS.slice(0, 3))).toBe(day('2026-05-11'));
    expect(lastRun(POINTS.slice(0, 1))).toBe(day('2026-05-01'));
    expect(lastRun([])).toBeNull();
  });
});
