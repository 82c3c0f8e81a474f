import { fileURLToPath } from 'node:url';
import { Piscina } from 'piscina';

/** A thread that did nothing for so long ends, and with it the memory it took. */
const IDLE_MS = 30_000;
const MEMORY_MB = 1_024;

/** The compiled file of a worker; `path` from the root of the server's build, such as `paper/paperWorker.js`. */
function workerFile(path: string): string {
  return fileURLToPath(new URL(`../../dist/${path}`, import.meta.url));
}

/** One thread for work that would hold everybody up, with a queue of at most `mostWaiting`; more is turned away at once. */
export class Threads<Task, Answer> {
  private readonly pool: Piscina<Task, Answer>;

  constructor(
    path: string,
    mostWaiting: number,
    private readonly turnedAway: () => Error,
  ) {
    this.pool = new Piscina({
      filename: workerFile(path),
      minThreads: 0,
      maxThreads: 1,
      maxQueue: mostWaiting,
      idleTimeout: IDLE_MS,
      resourceLimits: { maxOldGenerationSizeMb: MEMORY_MB },
    });
  }

  async run(task: Task): Promise<Answer> {
    if (this.pool.queueSize >= this.pool.options.maxQueue) throw this.turnedAway();
    return this.pool.run(task);
  }

  async close(): Promise<void> {
    await this.pool.destroy();
  }
}
