import { instant } from '../calendar/instant.js';
import { sequenceFaults } from './sequenceFaults.js';

const NOW = instant('2027-05-13T12:00:00Z');
const SEGMENT = { startsAt: instant('2026-01-01T00:00:00Z'), offset: 0 };
const reading = (at: string, shown: number) => ({ at: instant(at), shown });
const codes = (...readings: ReturnType<typeof reading>[]) =>
  sequenceFaults(readings, [SEGMENT], NOW).map(({ place, fault }) => [place, fault.code]);

describe('readings of a file beside each other', () => {
  it('pass where they could be, in whatever order they stand', () => {
    expect(codes(reading('2027-05-02T12:00:00Z', 20), reading('2027-05-01T12:00:00Z', 10))).toEqual([]);
  });

  it('are refused where they run backwards, beat the clock, or are still to come, by their place', () => {
    expect(codes(reading('2027-05-01T12:00:00Z', 10), reading('2027-05-02T12:00:00Z', 9))).toEqual([
      [1, 'backwards'],
    ]);
    expect(codes(reading('2027-05-01T12:00:00Z', 10), reading('2027-05-01T13:00:00Z', 900))).toEqual([
      [1, 'fasterThanClock'],
    ]);
    expect(codes(reading('2099-05-01T12:00:00Z', 10))).toEqual([[0, 'future']]);
  });

  it('count over a meter that was replaced, and are never less than no hours', () => {
    const second = { startsAt: instant('2027-05-01T12:30:00Z'), offset: -30 };
    const own = [reading('2027-05-01T12:00:00Z', 20), reading('2027-05-01T13:00:00Z', 20)];
    expect(
      sequenceFaults(own, [second, SEGMENT], NOW).map(({ place, fault }) => [place, fault.code]),
    ).toEqual([[1, 'negative']]);
  });
});
