import type { Subject } from '@yugator/contracts';
import { LiveFeed } from './liveFeed.js';

/** Collects what changed in a thread of its own, for the thread that tells everybody. */
export class CollectedChanges extends LiveFeed {
  readonly subjects = new Set<Subject>();

  override publish(subjects: readonly Subject[]): void {
    for (const subject of subjects) this.subjects.add(subject);
  }
}
