import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, renameSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { StartError } from '../startError.js';
import { giveTo } from './systemUser.js';
import type { SystemUser } from './systemUser.js';

/** Sets up an empty database beside its place and moves it there whole, so that an interrupted set-up is begun again. */
export function installOnce(installDb: string, folder: string, user: SystemUser | null): void {
  const data = join(folder, 'data');
  if (existsSync(data)) return;
  const unfinished = join(folder, 'data.unfinished');
  rmSync(unfinished, { recursive: true, force: true });
  mkdirSync(unfinished, { mode: 0o700 });
  giveTo(user, unfinished);
  const run = spawnSync(
    installDb,
    [
      '--no-defaults',
      `--datadir=${unfinished}`,
      '--auth-root-authentication-method=socket',
      '--auth-root-socket-user=root',
      '--skip-test-db',
    ],
    { encoding: 'utf8', cwd: '/', ...(user ? { uid: user.uid, gid: user.gid } : {}) },
  );
  if (run.status !== 0) {
    rmSync(unfinished, { recursive: true, force: true });
    const last = run.stderr.trim().split('\n').at(-1) ?? '';
    throw new StartError(
      `The database could not be set up in ${folder}: ${last || run.error?.message || run.status}`,
    );
  }
  renameSync(unfinished, data);
}
