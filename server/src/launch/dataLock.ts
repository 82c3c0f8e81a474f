import { readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { isRecord } from '@yugator/core';
import { codeOf, StartError } from './startError.js';

interface Holder {
  readonly pid: number;
  /** when the process started, in clock ticks since boot: tells a reused pid from the one that wrote the file */
  readonly started: string;
  readonly address: string;
}

function isHolder(value: unknown): value is Holder {
  return (
    isRecord(value) &&
    typeof value['pid'] === 'number' &&
    typeof value['started'] === 'string' &&
    typeof value['address'] === 'string'
  );
}

function startedTicks(pid: number): string | null {
  try {
    const stat = readFileSync(`/proc/${pid}/stat`, 'utf8');
    // The name of the program stands in parentheses and may hold blanks; field 22 is the 20th after it.
    return stat.slice(stat.lastIndexOf(')') + 2).split(' ')[19] ?? null;
  } catch (error) {
    if (codeOf(error) === 'ENOENT' || codeOf(error) === 'ESRCH') return null;
    throw error;
  }
}

function holderOf(file: string): Holder | null {
  try {
    const holder: unknown = JSON.parse(readFileSync(file, 'utf8'));
    return isHolder(holder) && startedTicks(holder.pid) === holder.started ? holder : null;
  } catch (error) {
    if (codeOf(error) === 'ENOENT' || error instanceof SyntaxError) return null;
    throw error;
  }
}

/**
 * Takes the data folder for this process and returns how to give it back. A lock left by a process that died does not count.
 * Throws a {@link StartError} naming the address where another Yugator runs on the same data.
 */
export function takeDataFolder(data: string, address: string): () => void {
  const file = join(data, 'running.json');
  const holder = holderOf(file);
  if (holder) {
    throw new StartError(
      `Yugator already runs on ${data}, at ${holder.address} (process ${holder.pid}). Use that one, stop it, or give another --data folder.`,
    );
  }
  rmSync(file, { force: true });
  const mine: Holder = { pid: process.pid, started: startedTicks(process.pid) ?? '', address };
  try {
    writeFileSync(file, JSON.stringify(mine), { flag: 'wx' });
  } catch (error) {
    if (codeOf(error) !== 'EEXIST') throw error;
    throw new StartError(
      `Another Yugator is just starting on ${data}. Wait for it, or give another --data folder.`,
    );
  }
  return () => rmSync(file, { force: true });
}
