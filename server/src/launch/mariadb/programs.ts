import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { StartError } from '../startError.js';

/** Debian keeps the server in sbin, which an ordinary user's PATH lacks. */
const FOLDERS = ['/usr/sbin', '/usr/bin', '/usr/local/sbin', '/usr/local/bin'];
/** The server and its set-up script, without the system service that mariadb-server would start beside ours. */
const PACKAGES = ['mariadb-server-core', 'mariadb-client-core'];

function find(program: string): string | null {
  return FOLDERS.map((folder) => `${folder}/${program}`).find((path) => existsSync(path)) ?? null;
}

export interface MariaDbPrograms {
  readonly server: string;
  readonly installDb: string;
}

function programs(): MariaDbPrograms | null {
  const server = find('mariadbd');
  const installDb = find('mariadb-install-db');
  return server && installDb && find('my_print_defaults') ? { server, installDb } : null;
}

function aptGet(...args: string[]): void {
  const run = spawnSync('apt-get', args, {
    stdio: ['ignore', 'ignore', 'inherit'],
    env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
  });
  if (run.status !== 0) {
    throw new StartError(
      `Installing MariaDB did not work: "apt-get ${args.join(' ')}" ended with ${run.status ?? run.error?.message ?? 'a signal'}. Check the network and the disk, and start again.`,
    );
  }
}

/**
 * The programs of MariaDB, installed from Debian's packages if they are missing.
 * Throws a {@link StartError} with the exact command where this user may not install packages.
 */
export function ensureMariaDb(say: (line: string) => void): MariaDbPrograms {
  const present = programs();
  if (present) return present;
  if (process.getuid?.() !== 0) {
    throw new StartError(
      `MariaDB is missing. Install it and start again:\n  sudo apt-get install --no-install-recommends ${PACKAGES.join(' ')}`,
    );
  }
  say(`Installing MariaDB from Debian's packages (${PACKAGES.join(', ')}) …`);
  aptGet('update', '-qq');
  aptGet('install', '-y', '-qq', '--no-install-recommends', ...PACKAGES);
  const installed = programs();
  if (!installed) throw new StartError('MariaDB was installed but its server was not found in /usr/sbin.');
  return installed;
}
