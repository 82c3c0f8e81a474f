// Measures `npm run -s due` on a fleet file of 1,000 machines × 30 lines × two years, and how much of it checking the file takes.
import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { performance } from 'node:perf_hooks';
import { fleetFile, MACHINES } from './benchFleet.mjs';

const TODAY = '2027-05-13';
const RUNS = 3;
const MOST_SHARE_OF_BEFORE = 1 / 3;
const MOST_SHARE_OF_CHECKS = 0.15;

function median(values) {
  return values.toSorted((a, b) => a - b)[values.length >> 1];
}

/** Milliseconds of one run of `due` in a checkout. */
function run(root, file) {
  const began = performance.now();
  const { status, stderr } = spawnSync('npm', ['run', '-s', 'due', '--', file, '--today', TODAY], {
    cwd: root,
    stdio: ['ignore', 'ignore', 'pipe'],
    encoding: 'utf8',
  });
  if (status !== 0) throw new Error(`due does not work in ${root}: ${stderr}`);
  return performance.now() - began;
}

/** Milliseconds that checking takes in a process that has not done so before and has the memory of `due`. */
function checkOnce(root, file) {
  const work = `
    import 'reflect-metadata';
    import { readFileSync } from 'node:fs';
    import { checkBody, FleetFileDto } from '@yugator/contracts';
    const raw = JSON.parse(readFileSync(process.argv[1], 'utf8'));
    const began = performance.now();
    if (checkBody(FleetFileDto, raw).faults) throw new Error('The file of the bench is wrong.');
    console.log(performance.now() - began);`;
  const options = ['--max-semi-space-size=64', '--input-type=module', '-e', work, file];
  const { stdout, stderr } = spawnSync(process.execPath, options, { cwd: root, encoding: 'utf8' });
  if (!Number(stdout)) throw new Error(stderr);
  return Number(stdout);
}

/** Prints the rows, with the ratio to another checkout where one is given, and returns whether all are within the limits. */
export function benchDue(root, against) {
  const folder = mkdtempSync(join(tmpdir(), 'yugator-due-'));
  const file = join(folder, 'fleet.json');
  writeFileSync(file, JSON.stringify(fleetFile(0, MACHINES, TODAY)));
  try {
    const [now, before, checking] = [[], [], []];
    // By turns, so that a slow minute of the machine falls on both.
    for (let turn = 0; turn < RUNS; turn += 1) {
      now.push(run(root, file));
      checking.push(checkOnce(root, file));
      if (against) before.push(run(against, file));
    }
    const took = median(now);
    const share = median(checking) / took;
    console.log(
      `  due of a file of ${MACHINES} machines              ${(took / 1000).toFixed(1)} s, checking it ${(100 * share).toFixed(0)} % (at most 15)`,
    );
    if (!against) return share <= MOST_SHARE_OF_CHECKS;
    const ratio = took / median(before);
    console.log(
      `  the same of ${against}: ${(median(before) / 1000).toFixed(1)} s; now ${ratio.toFixed(2)} of it (at most 0.33)`,
    );
    return share <= MOST_SHARE_OF_CHECKS && ratio <= MOST_SHARE_OF_BEFORE;
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}
