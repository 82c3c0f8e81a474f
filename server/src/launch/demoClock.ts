import { civilDateAt, daysBetween, instantOf } from '@yugator/core';
import type { CivilDate } from '@yugator/core';
import { MovedClock, SystemClock } from '../clock/clock.js';
import type { Clock } from '../clock/clock.js';
import { ReadingRow } from '../models/meter.model.js';
import { Site } from '../models/site.model.js';
import { StartError } from './startError.js';

const MS_PER_DAY = 86_400_000;

/** The computer's clock, or one that is as many days from it as the day asked for is from today. */
export function clockFor(demoOn: CivilDate | null): Clock {
  const system = new SystemClock();
  if (demoOn === null) return system;
  return new MovedClock(daysBetween(civilDateAt(system.now(), 'UTC'), demoOn) * MS_PER_DAY);
}

/** Only a demonstration may be on another day than today, and on none before its own records. Throws a {@link StartError}. */
export async function requireDemonstration(demoOn: CivilDate | null, clock: Clock): Promise<void> {
  if (demoOn === null) return;
  const site = await Site.findOne();
  if (!site?.demonstration)
    throw new StartError(
      '--demo-on is for the demonstration: records of a real crew are of real days. Give a folder of its own with --data.',
    );
  const latest = await ReadingRow.max<Date | null, ReadingRow>('readAt');
  if (latest && latest.getTime() > clock.now())
    throw new StartError(
      `The demonstration has records until ${civilDateAt(instantOf(latest.getTime()), site.timeZone)}. Choose a later day, or begin anew with --reset-demo.`,
    );
}
