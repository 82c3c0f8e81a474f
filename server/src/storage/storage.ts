import { statfs } from 'node:fs/promises';

/** With less left, MariaDB could no longer take back what it began, and would end. */
const LEAST_FREE_BYTES = 64 * 1024 * 1024;
const LOOKED_AT_EVERY_MS = 1_000;

/** The disk that the database writes to. */
export interface Storage {
  /** whether so little is left that nothing more may be written */
  isNearlyFull(): Promise<boolean>;
}

/** The disk of `folder`, looked at once a second at most. */
export class FolderStorage implements Storage {
  private lookedAt = -Infinity;
  private answer = false;

  constructor(
    private readonly folder: string,
    private readonly leastFree = LEAST_FREE_BYTES,
    private readonly now = () => performance.now(),
  ) {}

  async isNearlyFull(): Promise<boolean> {
    if (this.now() - this.lookedAt < LOOKED_AT_EVERY_MS) return this.answer;
    this.lookedAt = this.now();
    const { bavail, bsize } = await statfs(this.folder);
    this.answer = bavail * bsize < this.leastFree;
    return this.answer;
  }
}
