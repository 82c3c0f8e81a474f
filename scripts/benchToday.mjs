// Measures Today for a large fleet, asked of the running program.
import { ITEMS, MACHINES } from './benchFleet.mjs';

const RUNS = 41;

/** Prints how long Today takes. */
export async function benchToday(client) {
  const first = await client.ask('GET', '/today');
  if (JSON.parse(first.body.toString()).counts.machines !== MACHINES)
    throw new Error('The fleet is not whole.');
  const times = [];
  for (let run = 0; run < RUNS; run += 1) times.push((await client.ask('GET', '/today')).took);
  times.sort((a, b) => a - b);
  const median = times[RUNS >> 1];
  console.log(
    `  /api/today, ${MACHINES} machines × ${ITEMS} items, median  ${median.toFixed(0)} ms (at most 150 ms)`,
  );
  console.log(`  the same, first time after a start              ${first.took.toFixed(0)} ms`);
}
