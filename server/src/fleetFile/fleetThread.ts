import { Injectable } from '@nestjs/common';
import type { OnApplicationShutdown } from '@nestjs/common';
import type { ImportResultDto } from '@yugator/contracts';
import { Clock } from '../clock/clock.js';
import { DatabaseUrl } from '../database/databaseUrl.js';
import type { OnceKey } from '../database/once.js';
import { LiveFeed } from '../live/liveFeed.js';
import { busy } from '../problem/problem.js';
import { unlessRefused } from '../queue/sentProblem.js';
import { Threads } from '../queue/threads.js';
import type { FleetAnswer, FleetTask, Importer } from './fleetTask.js';

const MOST_WAITING = 4;

const crowded = () =>
  busy('Busy with files', 'Other fleet files are being read or written. Try again in a minute.', 30);

/** Reads and writes whole fleets in a thread of its own, so that nobody waits for them. */
@Injectable()
export class FleetThread implements OnApplicationShutdown {
  private readonly thread = new Threads<FleetTask, FleetAnswer>(
    'fleetFile/fleetWorker.js',
    MOST_WAITING,
    crowded,
  );

  constructor(
    private readonly clock: Clock,
    private readonly database: DatabaseUrl,
    private readonly feed: LiveFeed,
  ) {}

  /** The fleet file as JSON, with the tag that tells whether it changed. */
  async export(): Promise<{ json: Buffer; tag: string }> {
    const answer = unlessRefused(await this.thread.run({ kind: 'export', ...this.surroundings() }));
    if (answer.kind !== 'exported') throw new Error('The thread answered something else.');
    const { buffer, byteOffset, byteLength } = answer.json;
    return { json: Buffer.from(buffer, byteOffset, byteLength), tag: answer.tag };
  }

  /** Takes the body of an import in, or tries it, as it came. Throws a {@link Problem} with every fault of it. */
  async import(bytes: Uint8Array, importer: Importer, once: OnceKey | null): Promise<ImportResultDto> {
    const answer = unlessRefused(
      await this.thread.run({ kind: 'import', ...this.surroundings(), bytes, importer, once }),
    );
    if (answer.kind !== 'imported') throw new Error('The thread answered something else.');
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
