import { availableParallelism } from 'node:os';
import { Injectable } from '@nestjs/common';
import { busy } from '../problem/problem.js';
import { BoundedQueue } from '../queue/boundedQueue.js';
import { hashPassword, passwordMatches } from './password.js';

/** Sign-ins that may wait for their turn; each takes some 50 ms. */
const MOST_WAITING = 24;

const crowded = () =>
  busy('Many sign in at once', 'Many people sign in at this moment. Try again in a few seconds.', 3);

/** Hashing of passwords, of which only so much is done at once that everything else goes on. */
@Injectable()
export class Passwords {
  private readonly queue = new BoundedQueue(Math.max(1, availableParallelism() - 1), MOST_WAITING, crowded);
  private unknown: Promise<string> | undefined;

  hash(password: string): Promise<string> {
    return this.queue.run(() => hashPassword(password));
  }

  /** Whether `password` is the one hashed. Without a hash it takes as long and says no, so that names cannot be probed. */
  matches(password: string, passwordHash: string | null): Promise<boolean> {
    return this.queue.run(async () => {
      this.unknown ??= hashPassword('nobody has this password');
      const matches = await passwordMatches(password, passwordHash ?? (await this.unknown));
      return passwordHash !== null && matches;
    });
  }
}
