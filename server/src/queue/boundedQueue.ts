/** Work that is done a few at a time; more than may wait is turned away at once. */
export class BoundedQueue {
  private running = 0;
  private readonly waiting: (() => void)[] = [];

  constructor(
    private readonly atOnce: number,
    private readonly mostWaiting: number,
    /** the error for whoever is turned away */
    private readonly turnedAway: () => Error,
  ) {}

  async run<T>(work: () => Promise<T>): Promise<T> {
    if (this.running >= this.atOnce) {
      if (this.waiting.length >= this.mostWaiting) throw this.turnedAway();
      await new Promise<void>((turn) => this.waiting.push(turn));
    } else this.running += 1;
    try {
      return await work();
    } finally {
      // Whoever waits takes over this place; only then is none freed.
      const next = this.waiting.shift();
      if (next) next();
      else this.running -= 1;
    }
  }
}
