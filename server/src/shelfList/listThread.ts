import { Injectable } from '@nestjs/common';
import type { OnApplicationShutdown } from '@nestjs/common';
import type { ListResultDto, ShelfList } from '@yugator/contracts';
import { Clock } from '../clock/clock.js';
import { DatabaseUrl } from '../database/databaseUrl.js';
import type { OnceKey } from '../database/once.js';
import { LiveFeed } from '../live/liveFeed.js';
import { busy } from '../problem/problem.js';
import { unlessRefused } from '../queue/sentProblem.js';
import { Threads } from '../queue/threads.js';
import type { ListAnswer, ListTask } from './listTask.js';

const MOST_WAITING = 4;

const crowded = () =>
  busy('Busy with lists', 'Other lists of the shelf are being read or written. Try again in a minute.', 30);

/** Reads and writes lists of the shelf in a thread of its own, so that nobody waits for them. */
@Injectable()
export class ListThread implements OnApplicationShutdown {
  private readonly thread = new Threads<ListTask, ListAnswer>(
    'shelfList/listWorker.js',
    MOST_WAITING,
    crowded,
  );

  constructor(
    private readonly clock: Clock,
    private readonly database: DatabaseUrl,
    private readonly feed: LiveFeed,
  ) {}

  /** A list as rows of cells, the headings first. */
  async rows(list: ShelfList): Promise<string[][]> {
    const answer = unlessRefused(await this.thread.run({ kind: 'rows', list, ...this.surroundings() }));
    if (answer.kind !== 'rows') throw new Error('The thread answered something else.');
    return answer.rows;
  }

  /** Says what the body of a request, as it came, does with a list, or does it. Throws a {@link Problem}. */
  async take(list: ShelfList, bytes: Uint8Array, once: OnceKey | null): Promise<ListResultDto> {
    const answer = unlessRefused(
      await this.thread.run({ kind: 'take', list, ...this.surroundings(), bytes, once }),
    );
    if (answer.kind !== 'taken') throw new Error('The thread answered something else.');
    this.feed.publish(answer.changed);
    return answer.result;
  }

  async onApplicationShutdown(): Promise<void> {
    await this.thread.close();
  }

  private surroundings() {
    return { databaseUrl: this.database.url, now: this.clock.now() };
  }
}
