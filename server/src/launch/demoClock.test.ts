import { civilDate, civilDateAt, instant } from '@yugator/core';
import { SetClock } from '../clock/clock.js';
import { Site } from '../models/site.model.js';
import { yardOfFile } from '../testing/testApp.js';
import { clockFor, requireDemonstration } from './demoClock.js';

const DAY = civilDate('2027-11-08');

it('a demonstration of another day has its date, and the time of now', () => {
  const [before, moved, after] = [Date.now(), clockFor(DAY).now(), Date.now()];
  expect(civilDateAt(moved, 'UTC')).toBe(DAY);
  // Whole days ahead of a moment between the two looks.
  expect((moved - before) % 86_400_000).toBeLessThanOrEqual(after - before);
  expect(Math.abs(clockFor(null).now() - Date.now())).toBeLessThan(60_000);
});

describe('another day', () => {
  const yard = yardOfFile('Europe/London');
  const standing = (at: string) => requireDemonstration(DAY, new SetClock(instant(at)));

  it('is refused for the records of a real crew', async () => {
    expect(yard.crew.machine).toBeTruthy();
    await expect(standing('2027-11-08T12:00:00Z')).rejects.toThrow('records of a real crew are of real days');
    await expect(requireDemonstration(null, clockFor(null))).resolves.toBeUndefined();
  });

  it('is taken for a demonstration, but not before its last record', async () => {
    await Site.update({ demonstration: true }, { where: {} });
    await expect(standing('2027-11-08T12:00:00Z')).resolves.toBeUndefined();
    await expect(standing('2020-01-01T12:00:00Z')).rejects.toThrow(/has records until 2027-0\d-\d\d/);
  });
});
