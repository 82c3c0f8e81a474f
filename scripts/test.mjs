// Runs the checks and tests, all or the parts that are named, and prints what passed over all of them as its last line.
import { spawn } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync, statfsSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, relative } from 'node:path';
import { fileURLToPath } from 'node:url';
import { failedFiles, failures, passedBeside } from './testReport.mjs';
import { groupedTests } from './together.mjs';

const root = fileURLToPath(new URL('..', import.meta.url));
const scratch = mkdtempSync(join(tmpdir(), 'yugator-tests-'));
/** Linux offers memory as this folder; a container often too little of it. */
const MEMORY = '/dev/shm';
const LEAST_MEMORY = 4 * 2 ** 30;
if (existsSync(MEMORY)) {
  const { bavail, bsize } = statfsSync(MEMORY);
  if (bavail * bsize >= LEAST_MEMORY) process.env.TEST_SCRATCH ??= MEMORY;
}
/** Of more the machine is not to blame. */
const MOST_TRIED_AGAIN = 5;
const PART_TIMEOUT_MS = 75 * 60_000;

/** Runs a command to its end and tells whether it succeeded; what it says is shown at once, or held back and given back. */
function run(command, args, { isHeld = false, env = process.env } = {}) {
  return new Promise((ended) => {
    const child = spawn(command, args, {
      cwd: root,
      env,
      stdio: isHeld ? ['ignore', 'pipe', 'pipe'] : 'inherit',
      timeout: PART_TIMEOUT_MS,
      killSignal: 'SIGKILL',
    });
    let said = '';
    for (const stream of isHeld ? [child.stdout, child.stderr] : [])
      stream.on('data', (chunk) => (said += chunk));
    child.once('error', (error) => ended({ succeeded: false, said: said + error.message }));
    child.once('close', (code) => ended({ succeeded: code === 0, said }));
  });
}

let lastCheck = Promise.resolve();
/** Runs beside the tests in what time they leave, one after the other; what it says waits for its turn. */
const check = (script) => ({
  begin() {
    lastCheck = lastCheck.then(() =>
      run('nice', ['-n', '19', 'npm', 'run', '--silent', script], { isHeld: true }),
    );
    return lastCheck;
  },
  async end(begun) {
    const { succeeded, said } = await begun;
    if (said) console.log(said.trimEnd());
    return { passed: succeeded ? 1 : 0, failed: succeeded ? 0 : 1 };
  },
});

/** What Jest reports of a run; null where it died without a report. */
async function reportOf(folder, args, zone) {
  const report = join(scratch, `${folder}.json`);
  rmSync(report, { force: true });
  await run(
    process.execPath,
    [
      join(root, 'node_modules', 'jest', 'bin', 'jest.js'),
      ...['-c', `${folder}/jest.config.cjs`, '--rootDir', folder, '--ci', '--json', `--outputFile=${report}`],
      ...args,
    ],
    zone ? { env: { ...process.env, TEST_TIME_ZONE: zone, TZ: zone } } : {},
  );
  return existsSync(report) ? JSON.parse(readFileSync(report, 'utf8')) : null;
}

/**
 * A run that dies without counting its tests, runs none, or leaves out one of so many files, counts as one failure. Files with a failure are
 * run once more, one after the other, and that counts: on a machine that others keep busy a test may wait longer than it can, while a fault
 * fails twice.
 */
async function jest(folder, args, { zone, files } = {}) {
  const first = await reportOf(folder, args, zone);
  if (!first) return { passed: 0, failed: 1 };
  const ran = first.testResults.length;
  if (files && ran !== files) {
    console.error(`Jest ran ${ran} of ${files} files of ${folder}.`);
    return { passed: first.numPassedTests, failed: Math.max(1, first.numFailedTests) };
  }
  const bad = failedFiles(first);
  if (!bad?.length || bad.length > MOST_TRIED_AGAIN)
    return { passed: first.numPassedTests, failed: failures(first) };
  console.log(`\n   once more, one after the other: ${bad.map((name) => relative(root, name)).join(', ')}`);
  const again = await reportOf(folder, ['--runInBand', '--runTestsByPath', ...bad], zone);
  const passed = passedBeside(first, bad);
  if (!again) return { passed, failed: bad.length };
  return { passed: passed + again.numPassedTests, failed: failures(again) };
}

const tests = (folder, ...args) => ({ end: () => jest(folder, args) });

/** Runs the files of a package in groups: those whose path from `src` on is wanted, as if this computer lay in a time zone. */
function inGroups(folder, { isWanted = () => true, zone } = {}) {
  const from = join(root, folder, 'src');
  const paths = groupedTests(folder, (path) => isWanted(relative(from, path)));
  return jest(folder, ['--runTestsByPath', ...paths], { zone, files: paths.length });
}

const isSecurity = (path) => path.startsWith('security/');
const isOfDays = (path) => /^(evidence|fleetFile|job|machine|meter|schedule|season)\//.test(path);

const PARTS = {
  lint: check('lint'),
  types: check('typecheck'),
  format: check('format:check'),
  core: tests('core'),
  contracts: tests('contracts'),
  server: {
    async end() {
      // From a shed far east; what reckons with days and hours once more from one far west. Other parts run where this computer lies.
      const east = await inGroups('server', { zone: 'Pacific/Auckland' });
      const west = await inGroups('server', { isWanted: isOfDays, zone: 'America/Los_Angeles' });
      return { passed: east.passed + west.passed, failed: east.failed + west.failed };
    },
  },
  web: { end: () => inGroups('web') },
  browser: tests('e2e'),
  security: { end: () => inGroups('server', { isWanted: isSecurity }) },
};
/** What is run alone where somebody works on it, and otherwise with the whole that it is part of. */
const WITHIN_ANOTHER = new Set(['security']);

const wanted = process.argv.slice(2);
const unknown = wanted.filter((name) => !(name in PARTS));
if (unknown.length) {
  console.error(
    `There is no part "${unknown.join('", "')}". The parts are: ${Object.keys(PARTS).join(', ')}.`,
  );
  process.exit(2);
}

let [passed, failed] = [0, 0];
const begun = new Map();
const names = wanted.length ? wanted : Object.keys(PARTS).filter((name) => !WITHIN_ANOTHER.has(name));
for (const name of names) begun.set(name, PARTS[name].begin?.());
// What has begun beside the others is asked last: one processor would wait for it while another has work.
const isBeside = (name) => (PARTS[name].begin ? 1 : 0);
for (const name of names.toSorted((a, b) => isBeside(a) - isBeside(b))) {
  const from = performance.now();
  console.log(`\n== ${name}`);
  const result = await PARTS[name].end(begun.get(name));
  console.log(`   ${Math.round((performance.now() - from) / 1000)} s`);
  passed += result.passed;
  failed += result.failed;
}
rmSync(scratch, { recursive: true, force: true });
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed ? 1 : 0);
