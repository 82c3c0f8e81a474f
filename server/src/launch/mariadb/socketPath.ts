import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { giveTo } from './systemUser.js';
import type { SystemUser } from './systemUser.js';

/** A Unix socket's path has 107 characters at most (unix(7)). */
const LONGEST = 107;

/** Where the database is reached: in its folder, or in a short one of its own where that one's name is too long. */
export function socketIn(folder: string, user: SystemUser | null): { path: string; remove(): void } {
  const own = join(folder, 'db.sock');
  if (Buffer.byteLength(own) <= LONGEST) return { path: own, remove: () => undefined };
  const short = mkdtempSync(join(tmpdir(), 'yugator-db-'));
  giveTo(user, short);
  return { path: join(short, 'db.sock'), remove: () => rmSync(short, { recursive: true, force: true }) };
}
