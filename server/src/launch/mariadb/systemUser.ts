import { spawnSync } from 'node:child_process';
import { chownSync } from 'node:fs';
import { StartError } from '../startError.js';

/** The ordinary user that the database runs as where Yugator is started by root. */
const NAME = 'yugator';

export interface SystemUser {
  readonly name: string;
  readonly uid: number;
  readonly gid: number;
}

function idOf(kind: '-u' | '-g'): number | null {
  const run = spawnSync('id', [kind, NAME], { encoding: 'utf8' });
  return run.status === 0 ? Number(run.stdout) : null;
}

function known(): SystemUser | null {
  const [uid, gid] = [idOf('-u'), idOf('-g')];
  return uid === null || gid === null ? null : { name: NAME, uid, gid };
}

/**
 * The system user of the database, made if need be; null where Yugator itself runs as an ordinary user, whom the database then
 * runs as too. Throws a {@link StartError} where it cannot be made.
 */
export function databaseUser(): SystemUser | null {
  if (process.getuid?.() !== 0) return null;
  const before = known();
  if (before) return before;
  const run = spawnSync(
    'useradd',
    ['--system', '--user-group', '--no-create-home', '--shell', '/usr/sbin/nologin', NAME],
    {
      encoding: 'utf8',
    },
  );
  const made = known();
  if (made) return made;
  throw new StartError(
    `The system user ${NAME}, as whom the database is to run, could not be made: ${run.stderr?.trim() || run.error?.message}. Make it (useradd --system ${NAME}), or start Yugator as an ordinary user.`,
  );
}

/** Whether that user gets to a folder: every folder above it must let the user through. */
export function reaches(user: SystemUser, folder: string): boolean {
  return spawnSync('test', ['-x', folder], { uid: user.uid, gid: user.gid }).status === 0;
}

/** Gives a folder, and with `isDeep` all that is in it, to the user. */
export function giveTo(user: SystemUser | null, folder: string, isDeep = false): void {
  if (!user) return;
  chownSync(folder, user.uid, user.gid);
  if (!isDeep) return;
  const run = spawnSync('chown', ['-R', `${user.uid}:${user.gid}`, folder], { encoding: 'utf8' });
  if (run.status !== 0)
    throw new StartError(`${folder} cannot be given to ${user.name}: ${run.stderr.trim()}`);
}
