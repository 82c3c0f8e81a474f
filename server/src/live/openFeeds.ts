import { Injectable } from '@nestjs/common';

export const HEARTBEAT_MS = 20_000;
const MOST_OF_PERSON = 8;

/** How many live feeds each person has open. */
@Injectable()
export class OpenFeeds {
  private readonly counts = new Map<string, number>();

  /** Counts one more of a person and returns how to give it back; null where there are too many. */
  take(personId: string): (() => void) | null {
    const count = this.counts.get(personId) ?? 0;
    if (count >= MOST_OF_PERSON) return null;
    this.counts.set(personId, count + 1);
    let isOpen = true;
    return () => {
      if (!isOpen) return;
      isOpen = false;
      const left = (this.counts.get(personId) ?? 1) - 1;
      if (left > 0) this.counts.set(personId, left);
      else this.counts.delete(personId);
    };
  }
}
