// Measures what Yugator promises: how long a start takes, how quick the schedule is, and what the first load weighs.
import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { cpus, tmpdir } from 'node:os';
import { join } from 'node:path';
import { performance } from 'node:perf_hooks';
import { fileURLToPath } from 'node:url';
import { parseArgs } from 'node:util';
import { gzipSync } from 'node:zlib';
import { benchDue } from './benchDue.mjs';
import { benchSchedule } from './benchSchedule.mjs';
import { benchSheet } from './benchSheet.mjs';
import { withFleet } from './benchFleet.mjs';
import { benchStandstill, throughput } from './benchGate.mjs';
import { benchLists } from './benchLists.mjs';
import { benchLoads } from './benchLoads.mjs';
import { benchBuying } from './benchBuying.mjs';
import { benchPlanner } from './benchPlanner.mjs';
import { benchReplan } from './benchReplan.mjs';
import { benchField } from './benchField.mjs';
import { benchToday } from './benchToday.mjs';
import { startYugator, stopYugator } from './startYugator.mjs';

// `npm run bench -- --against FOLDER` compares with another checkout, built.
// `npm run bench -- planner` measures the season plan alone: it takes a quarter of an hour; `npm run bench -- replan` how much of it changes.
const {
  values: { against },
  positionals: [only],
} = parseArgs({ options: { against: { type: 'string' } }, allowPositionals: true });
const root = fileURLToPath(new URL('..', import.meta.url));
const PORT = '8499';

/** Milliseconds from the command to the printed address; the program is stopped again. */
async function start(data) {
  const began = performance.now();
  const { child } = await startYugator(root, ['--data', data, '--port', PORT]);
  const took = performance.now() - began;
  await stopYugator(child);
  return took;
}

const seconds = (ms) => `${(ms / 1000).toFixed(1)} s`;
console.log(
  `On ${cpus().length} × ${cpus()[0]?.model ?? 'unknown processor'}, Node ${process.versions.node}:`,
);
if (only === 'planner') process.exit((await benchPlanner()) ? 0 : 1);
if (only === 'replan') process.exit((await benchReplan()) ? 0 : 1);
benchSchedule();
benchSheet();
if (!benchDue(root, against)) process.exitCode = 1;
const inUse = await withFleet(root, '8498', async (client, today, loop) => {
  await benchToday(client);
  const perSecond = await throughput(client);
  const isQuick = await benchStandstill(client, today, loop);
  return { perSecond, isQuick: (await benchLists(client)) && isQuick };
});
console.log(`  ordinary requests answered in a second          ${inUse.perSecond.toFixed(0)}`);
if (against) {
  const before = await withFleet(against, '8497', throughput);
  const share = (100 * inUse.perSecond) / before;
  console.log(
    `  the same of ${against}: ${before.toFixed(0)}; now ${share.toFixed(0)} % of it (at least 90)`,
  );
  if (share < 90) process.exitCode = 1;
}
if (!inUse.isQuick) process.exitCode = 1;
if (!benchLoads(root)) process.exitCode = 1;
if (!(await benchField(root))) process.exitCode = 1;
if (!(await benchBuying(root))) process.exitCode = 1;
const data = mkdtempSync(join(tmpdir(), 'yugator-bench-'));
console.log(`  first start on no data, with the demonstration  ${seconds(await start(data))}`);
const warm = [await start(data), await start(data), await start(data)].sort((a, b) => a - b);
console.log(`  warm start, median of three (at most 10 s)      ${seconds(warm[1])}`);
rmSync(data, { recursive: true, force: true });

const assets = join(root, 'web', 'dist', 'assets');
const scripts = readdirSync(assets).filter((name) => name.endsWith('.js'));
const bytes = scripts.reduce((sum, name) => sum + gzipSync(readFileSync(join(assets, name))).length, 0);
console.log(
  `  all JavaScript of all screens, gzipped          ${Math.round(bytes / 1024)} kB in ${scripts.length} files`,
);
