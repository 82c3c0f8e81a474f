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

  it('taken this moment, or by a meter at nought, pass; so does what follows one that is refused for itself', () => {
    expect(codes(reading('2027-05-13T12:00:00Z', 0))).toEqual([]);
    // The second could not have come from nought within the hour: a first reading of nought counts.
    expect(codes(reading('2027-05-01T12:00:00Z', 0), reading('2027-05-01T13:00:00Z', 9))).toEqual([
      [1, 'fasterThanClock'],
    ]);
    // What is less than nothing is no measure of what follows.
    expect(codes(reading('2027-05-01T12:00:00Z', -90), reading('2027-05-01T13:00:00Z', 9))).toEqual([
      [0, 'negative'],
    ]);
  });

  it('are named in the order in which they were given, whenever they were taken', () => {
    expect(
      codes(
        reading('2099-05-01T12:00:00Z', 10),
        reading('2027-05-03T12:00:00Z', 8),
        reading('2027-05-02T12:00:00Z', 9),
        reading('2027-05-01T12:00:00Z', -1),
      ),
    ).toEqual([
      [0, 'future'],
      [1, 'backwards'],
      [3, 'negative'],
    ]);
  });

  it('of one moment are taken from the lesser to the greater', () => {
    const at = '2027-05-01T12:00:00Z';
    expect(codes(reading(at, 10.1), reading(at, 10))).toEqual([]);
    expect(codes(reading(at, 12), reading(at, 10))).toEqual([[0, 'fasterThanClock']]);
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
