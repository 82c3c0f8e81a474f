import type { RecordKind } from '@yugator/contracts';
import type { Instant } from '@yugator/core';
import type { CreationAttributes } from 'sequelize';
import type { Job } from '../models/job.model.js';
import type { Person } from '../models/person.model.js';

/** What differs from record to record. */
interface Own {
  readonly id: string;
  readonly machineId: string;
  readonly kind: Exclude<RecordKind, 'visit'>;
  /** civil date */
  readonly doneOn: string;
  readonly life: number;
  readonly shown: number;
  readonly readingId?: string | null;
  readonly walk?: object | null;
  readonly note?: string;
}

/** A record of work that had no job: opened and signed in one, by who keeps it, at no minutes. */
export function recordRow({ note = '', ...own }: Own, caller: Person, now: Instant): CreationAttributes<Job> {
  return {
    ...own,
    note,
    state: 'signedOff',
    openedAt: new Date(now),
    openedById: caller.id,
    signedOffAt: new Date(now),
    signedOffById: caller.id,
    doneById: caller.id,
    minutes: 0,
    version: 1,
  };
}
