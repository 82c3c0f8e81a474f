import { setImmediate as turn } from 'node:timers/promises';

/** Work in one go holds up others for so long at most, in milliseconds. */
const LONGEST_GO_MS = 6;

/** A function to call between pieces of long work: it lets others have their turn when the work has gone on for a while. */
export function breather(): () => Promise<void> {
  let began = performance.now();
  return async () => {
    if (performance.now() - began < LONGEST_GO_MS) return;
    await turn();
    began = performance.now();
  };
}

/** The same as `list.map(each)`, with room for others in between. */
export async function mapGently<T, R>(list: readonly T[], each: (entry: T) => R): Promise<R[]> {
  const breathe = breather();
  const results: R[] = [];
  for (const entry of list) {
    results.push(each(entry));
    await breathe();
  }
  return results;
}
