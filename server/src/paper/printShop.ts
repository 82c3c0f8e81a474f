import { Injectable, StreamableFile } from '@nestjs/common';
import type { OnApplicationShutdown } from '@nestjs/common';
import { busy } from '../problem/problem.js';
import { BoundedQueue } from '../queue/boundedQueue.js';
import { Threads } from '../queue/threads.js';
import type { PaperTask } from './paperTask.js';

/** Papers that may wait; one takes half a second. */
const MOST_WAITING = 16;

const crowded = () =>
  busy('Many papers at once', 'Many papers are being set. Try again in a few seconds.', 5);

/** Sets papers in a thread of its own, one after the other. */
@Injectable()
export class PrintShop implements OnApplicationShutdown {
  private readonly queue = new BoundedQueue(1, MOST_WAITING, crowded);
  private readonly thread = new Threads<PaperTask, Uint8Array>('paper/paperWorker.js', MOST_WAITING, crowded);

  /** Sets what `read` comes up with, which is not read before its turn. */
  print(read: () => Promise<PaperTask>): Promise<StreamableFile> {
    return this.queue.run(async () => new StreamableFile(await this.thread.run(await read())));
  }

  async onApplicationShutdown(): Promise<void> {
    await this.thread.close();
  }
}
