import { existsSync, readFileSync, readlinkSync } from 'node:fs';
import { setTimeout as wait } from 'node:timers/promises';
import { codeOf, StartError } from '../startError.js';

const PATIENCE_MS = 60_000;
const GONE = ['ENOENT', 'ESRCH', 'EACCES'];

/** Whether process `pid` is `program` working on the data folder `data`. A number may have been given out again since. */
function worksOn(pid: number, program: string, data: string): boolean {
  try {
    if (readlinkSync(`/proc/${pid}/exe`).replace(/ \(deleted\)$/, '') !== program) return false;
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8').split('\0').includes(`--datadir=${data}`);
  } catch (error) {
    if (GONE.includes(codeOf(error) ?? '')) return false;
    throw error;
  }
}

/**
 * Stops the database that a killed Yugator left running on the same data, so that its files are free; nobody else's is touched.
 * Throws a {@link StartError} where it does not end.
 */
export async function stopLeftover(pidFile: string, program: string, data: string): Promise<void> {
  if (!existsSync(pidFile)) return;
  const pid = Number(readFileSync(pidFile, 'utf8'));
  if (!Number.isInteger(pid) || pid <= 0 || !worksOn(pid, program, data)) return;
  process.kill(pid, 'SIGTERM');
  const deadline = Date.now() + PATIENCE_MS;
  while (worksOn(pid, program, data)) {
    if (Date.now() > deadline) {
      throw new StartError(
        `An earlier database (process ${pid}) still runs on the same data and does not stop. Stop it and start again.`,
      );
    }
    await wait(50);
  }
}
