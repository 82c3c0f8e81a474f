import { spawn } from 'node:child_process';
import type { ChildProcess } from 'node:child_process';
import { existsSync } from 'node:fs';
import type { SystemUser } from './systemUser.js';

const SETPRIV = '/usr/bin/setpriv';

/**
 * The command that runs a program as `user` and, where the system offers it, ends it with this process, however that ends:
 * setpriv(1) asks the kernel for a signal at the death of the parent.
 */
function command(
  program: string,
  args: readonly string[],
  user: SystemUser | null,
): readonly [string, string[]] {
  if (!existsSync(SETPRIV)) return [program, [...(user ? [`--user=${user.name}`] : []), ...args]];
  const as = user ? [`--reuid=${user.uid}`, `--regid=${user.gid}`, '--init-groups'] : [];
  return [SETPRIV, [...as, '--pdeathsig=TERM', '--', program, ...args]];
}

/** Starts a program that goes with this process. */
export function spawnBound(program: string, args: readonly string[], user: SystemUser | null): ChildProcess {
  const [file, all] = command(program, args, user);
  // In a group of its own, so that Ctrl-C at the terminal reaches the web server first.
  return spawn(file, all, { stdio: 'ignore', detached: true, cwd: '/' });
}
