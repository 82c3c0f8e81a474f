import { onceEach } from '../onceEach.js';
import type { CivilDate } from './civilDate.js';

/** A moment in UTC, in milliseconds since 1970-01-01T00:00Z. */
export type Instant = number & { readonly __brand: 'Instant' };

export const MS_PER_HOUR = 3_600_000;

/** The moment `ms` milliseconds after 1970-01-01T00:00Z. */
export function instantOf(ms: number): Instant {
  return ms as Instant;
}

/** The moment written in ISO 8601. Throws a RangeError where the text names no moment. */
export function instant(text: string): Instant {
  const ms = Date.parse(text);
  if (Number.isNaN(ms)) throw new RangeError(`"${text}" is not a moment; write it as 2027-05-13T17:10:00Z.`);
  return instantOf(ms);
}

/** Making a format costs a thousand times as much as using it. */
const clockOf = onceEach(
  (timeZone) =>
    new Intl.DateTimeFormat('en-CA', {
      timeZone,
      hourCycle: 'h23',
      year: 'numeric',
      month: '2-digit',
      day: '2-digit',
      hour: '2-digit',
      minute: '2-digit',
      second: '2-digit',
    }),
);

/** What a clock in `timeZone` shows at `at`, as if it were UTC. */
function wallClock(at: number, timeZone: string): number {
  const parts = clockOf(timeZone).formatToParts(at);
  const part = (type: string) => Number(parts.find((candidate) => candidate.type === type)?.value);
  return Date.UTC(part('year'), part('month') - 1, part('day'), part('hour'), part('minute'), part('second'));
}

/** Milliseconds by which clocks in `timeZone` (an IANA name) are ahead of UTC at `at`. Throws a RangeError for an unknown zone. */
export function offsetAt(at: number, timeZone: string): number {
  const second = Math.floor(at / 1000) * 1000;
  return wallClock(second, timeZone) - second;
}

/** The moment at which clocks in `timeZone` show `hour` o'clock on `date`; during a gap of the clocks, the moment after it. */
export function instantOnDay(date: CivilDate, hour: number, timeZone: string): Instant {
  const wanted = Date.parse(date) + hour * MS_PER_HOUR;
  // Two steps: the offset at the first guess may be that of the other side of a clock change.
  const guess = wanted - offsetAt(wanted, timeZone);
  return instantOf(wanted - offsetAt(guess, timeZone));
}
