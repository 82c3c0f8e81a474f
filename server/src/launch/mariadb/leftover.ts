import { existsSync, readFileSync, readlinkSync } from 'node:fs';
import { setTimeout as wait } from 'node:timers/promises';
import { codeOf, StartError } from '../startError.js';

const PATIENCE_MS = 60_000;

function runs(pid: number, program: string): boolean {
  try {
    return readlinkSync(`/proc/${pid}/exe`).replace(/ \(deleted\)$/, '') === program;
  } catch (error) {
    if (['ENOENT', 'ESRCH', 'EACCES'].includes(codeOf(error) ?? '')) return false;
    throw error;
  }
}

/**
 * Stops the database that a killed Yugator left running on the same data, so that its files are free.
 * Throws a {@link StartError} where it does not end.
 */
export async function stopLeftover(pidFile: string, program: string): Promise<void> {
  if (!existsSync(pidFile)) return;
  const pid = Number(readFileSync(pidFile, 'utf8'));
  if (!Number.isInteger(pid) || pid <= 0 || !runs(pid, program)) return;
  process.kill(pid, 'SIGTERM');
  const deadline = Date.now() + PATIENCE_MS;
  while (runs(pid, program)) {
    if (Date.now() > deadline) {
      throw new StartError(
        `An earlier database (process ${pid}) still runs on the same data and does not stop. Stop it and start again.`,
      );
    }
    await wait(50);
  }
}
