import { setTimeout as wait } from 'node:timers/promises';
import { isNativeError } from 'node:util/types';
import { Injectable } from '@nestjs/common';
import type { JobMove, Subject } from '@yugator/contracts';
import { Transaction } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import { LiveFeed } from '../live/liveFeed.js';
import { ambient } from './ambient.js';

const ATTEMPTS = 6;
/** Deadlock found; lock wait timeout exceeded. A Galera cluster reports a lost certification as the first. */
const WORTH_ANOTHER_TRY = new Set([1213, 1205]);
/** A row that was waited for is read as the other transaction left it, not as it stood before the wait. */
const READ_COMMITTED = Transaction.ISOLATION_LEVELS.READ_COMMITTED;
const NOTED = 'notedChanges';

/** MariaDB's number of an error that Sequelize or the driver wrapped; undefined for others. */
export function databaseErrno(error: unknown): number | undefined {
  if (!isNativeError(error)) return undefined;
  if ('errno' in error && typeof error.errno === 'number') return error.errno;
  return databaseErrno('parent' in error ? error.parent : error.cause);
}

/** What a unit of work changes, for the feed. */
class Noted {
  readonly subjects = new Set<Subject>();
  readonly jobs: JobMove[] = [];
}

function noted(): Noted {
  const found = ambient.get(NOTED);
  if (!(found instanceof Noted)) throw new Error('A change can only be noted inside a unit of work.');
  return found;
}

/** Ends a unit of work that is only tried out. */
class TakenBack<T> extends Error {
  override readonly name = 'TakenBack';
  result: T | undefined;
}

/** All-or-nothing writes. */
@Injectable()
export class UnitOfWork {
  constructor(
    private readonly sequelize: Sequelize,
    private readonly feed: LiveFeed,
  ) {}

  /**
   * Runs `work` in one transaction that every query in it joins by itself, and commits it. Where the database gives up on it
   * because of another transaction, it is run again, a bounded number of times. What it noted as changed is published after
   * the commit. Inside another unit of work it joins that one.
   */
  async run<T>(work: () => Promise<T>): Promise<T> {
    if (ambient.get('transaction')) return work();
    for (let attempt = 1; ; attempt += 1) {
      const changed = new Noted();
      try {
        const result = await ambient.run(() => {
          ambient.set(NOTED, changed);
          return this.sequelize.transaction({ isolationLevel: READ_COMMITTED }, work);
        });
        this.feed.publish([...changed.subjects], changed.jobs);
        return result;
      } catch (error) {
        if (attempt >= ATTEMPTS || !WORTH_ANOTHER_TRY.has(databaseErrno(error) ?? 0)) throw error;
        await wait(attempt * 20 * (0.5 + Math.random()));
      }
    }
  }

  /**
   * Runs `work` as {@link run} would, and takes all of it back: what it gives is what would have come of it, and what it throws is what
   * would have stood against it. Nothing is published.
   */
  async tryOut<T>(work: () => Promise<T>): Promise<T> {
    const takenBack = new TakenBack<T>();
    try {
      return await this.run(async () => {
        takenBack.result = await work();
        throw takenBack;
      });
    } catch (error) {
      if (error === takenBack && takenBack.result !== undefined) return takenBack.result;
      throw error;
    }
  }

  /** Notes what the running unit of work changes. */
  changed(...subjects: Subject[]): void {
    const { subjects: before } = noted();
    for (const subject of subjects) before.add(subject);
  }

  /** Notes that an open job moved on: who looks at its page sees it, and nothing else changes by it. */
  jobMoved({ id, version }: JobMove): void {
    noted().jobs.push({ id, version });
  }
}
