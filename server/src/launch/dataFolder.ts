import { accessSync, constants, mkdirSync, statfsSync } from 'node:fs';
import { codeOf, StartError } from './startError.js';

/** MariaDB writes about 130 MB on its first start; below this it would stop half-way. */
const LEAST_FREE_BYTES = 300 * 1024 * 1024;
/** Once set up, this much room lets it recover and work. */
const LEAST_FREE_LATER_BYTES = 50 * 1024 * 1024;

function megabytes(bytes: number): string {
  return `${Math.floor(bytes / (1024 * 1024))} MB`;
}

/** Makes the data folder if need be. Throws a {@link StartError} where it cannot be written or the disk is nearly full. */
export function prepareDataFolder(data: string, firstTime: boolean): void {
  try {
    mkdirSync(data, { recursive: true, mode: 0o700 });
    accessSync(data, constants.W_OK | constants.X_OK);
  } catch (error) {
    const code = codeOf(error);
    if (code === 'ENOSPC') throw new StartError(`The disk is full: ${data} cannot be made. Free some space.`);
    throw new StartError(
      `The data folder ${data} cannot be written (${code ?? String(error)}). Give another with --data.`,
    );
  }
  const disk = statfsSync(data);
  const free = disk.bavail * disk.bsize;
  const needed = firstTime ? LEAST_FREE_BYTES : LEAST_FREE_LATER_BYTES;
  if (free < needed) {
    throw new StartError(
      `Only ${megabytes(free)} are free on the disk of ${data}; Yugator needs ${megabytes(needed)}. Free some space or give another --data folder.`,
    );
  }
}
