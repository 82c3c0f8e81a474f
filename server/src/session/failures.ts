const HOUR_MS = 3_600_000;
/** Names and addresses that are remembered; of more, those that failed longest ago are forgotten. */
const MOST_KEYS = 20_000;

/** How failed attempts under one key slow the next one. */
export interface Patience {
  /** failures within an hour that slow nothing yet */
  readonly free: number;
  /** the longest wait after a failure, in seconds */
  readonly longestSeconds: number;
  /** failures within an hour after which there is no other */
  readonly mostAnHour: number;
}

/** Failed attempts of the last hour, by whatever they are counted by. Every instant is in milliseconds since 1970. */
export class Failures {
  private readonly times = new Map<string, number[]>();

  /** Milliseconds to wait until the next attempt is allowed; 0 where it may be made now. */
  waitFor(key: string, { free, longestSeconds, mostAnHour }: Patience, now: number): number {
    const recent = this.recent(key, now);
    const [last, count] = [recent.at(-1) ?? 0, recent.length];
    const yieldsAt = recent[count - mostAnHour];
    if (yieldsAt !== undefined) return yieldsAt + HOUR_MS - now;
    if (count < free) return 0;
    const seconds = Math.min(longestSeconds, 2 ** Math.min(count - free, 20));
    return Math.max(0, last + seconds * 1000 - now);
  }

  add(key: string, now: number): void {
    const recent = this.recent(key, now);
    // Set anew, so that the keys stay in the order of their last failure.
    this.times.delete(key);
    this.times.set(key, [...recent, now]);
    if (this.times.size > MOST_KEYS) this.times.delete(this.times.keys().next().value ?? '');
  }

  /** Takes back the failure that was added at `at`, because the attempt succeeded. */
  takeBack(key: string, at: number): void {
    const times = this.times.get(key) ?? [];
    const place = times.lastIndexOf(at);
    if (place >= 0) this.times.set(key, times.toSpliced(place, 1));
  }

  private recent(key: string, now: number): number[] {
    return (this.times.get(key) ?? []).filter((time) => time > now - HOUR_MS);
  }
}
