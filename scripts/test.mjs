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
process.once('exit', () => rmSync(scratch, { recursive: true, force: true }));
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

/** In what time the tests in front leave, which wait for a browser or a database now and then. */
const BESIDE = ['nice', '-n', '19'];

/** For checks in Go beside others: several threads of one would do some work twice, and collecting memory costs more than the memory. */
const SPARING = { GOMAXPROCS: '1', GOGC: 'off', GOMEMLIMIT: '2GiB' };

/** What runs now, to be ended where there is no point in it. */
const running = new Set();

/** Runs a command to its end and tells whether it succeeded; what it says is shown at once, or beside others held back and given back. */
function run(command, { isBeside = false, env = process.env } = {}) {
  const [program, ...args] = isBeside ? [...BESIDE, ...command] : command;
  return new Promise((ended) => {
    const child = spawn(program, args, {
      cwd: root,
      env,
      stdio: isBeside ? ['ignore', 'pipe', 'pipe'] : 'inherit',
      timeout: PART_TIMEOUT_MS,
      killSignal: 'SIGKILL',
    });
    running.add(child);
    let said = '';
    for (const stream of isBeside ? [child.stdout, child.stderr] : [])
      stream.on('data', (chunk) => (said += chunk));
    child.once('error', (error) => ended({ succeeded: false, said: said + error.message }));
    child.once('close', (code) => {
      running.delete(child);
      ended({ succeeded: code === 0, said });
    });
  });
}

const check = (script) => async (isBeside) => {
  const env = isBeside ? { ...process.env, ...SPARING } : process.env;
  const { succeeded, said } = await run(['npm', 'run', '--silent', script], { isBeside, env });
  return { passed: succeeded ? 1 : 0, failed: succeeded ? 0 : 1, said };
};

/** What Jest reports of a run, null where it died without a report, and what it said where that was held back. */
async function reportOf(folder, args, { zones, isBeside } = {}) {
  const path = join(scratch, `${folder}.json`);
  rmSync(path, { force: true });
  const jest = join(root, 'node_modules', 'jest', 'bin', 'jest.js');
  const options = ['-c', `${folder}/jest.config.cjs`, '--rootDir', folder, '--ci'];
  const { said } = await run(
    [process.execPath, jest, ...options, '--json', `--outputFile=${path}`, ...args],
    { isBeside, env: { ...process.env, ...zones } },
  );
  return { report: existsSync(path) ? JSON.parse(readFileSync(path, 'utf8')) : null, said };
}

/**
 * A run that dies without counting its tests, runs none, or leaves out one of so many files, counts as one failure. Files with a failure are
 * run once more, one after the other, and that counts: on a machine that others keep busy a test may wait longer than it can, while a fault
 * fails twice.
 */
async function jest(folder, args, { zones, files, isBeside } = {}) {
  const { report: first, said } = await reportOf(folder, args, { zones, isBeside });
  if (!first) return { passed: 0, failed: 1, said };
  const ran = first.testResults.length;
  if (files && ran !== files) {
    console.error(`Jest ran ${ran} of ${files} files of ${folder}.`);
    return { passed: first.numPassedTests, failed: Math.max(1, first.numFailedTests), said };
  }
  const bad = failedFiles(first);
  if (!bad?.length || bad.length > MOST_TRIED_AGAIN)
    return { passed: first.numPassedTests, failed: failures(first), said };
  const names = bad.map((path) => relative(root, path)).join(', ');
  console.log(`\n   once more, one after the other: ${names}`);
  const second = await reportOf(folder, ['--runInBand', '--runTestsByPath', ...bad], { zones, isBeside });
  const passed = passedBeside(first, bad);
  const all = said + second.said;
  if (!second.report) return { passed, failed: bad.length, said: all };
  return { passed: passed + second.report.numPassedTests, failed: failures(second.report), said: all };
}

/** Runs the files of a package in groups: those whose path from `src` on is wanted. */
function inGroups(folder, most, { isWanted = () => true, zones } = {}) {
  const from = join(root, folder, 'src');
  const paths = groupedTests(folder, most, (path) => isWanted(relative(from, path)));
  return jest(folder, ['--runTestsByPath', ...paths], { zones, files: paths.length });
}

/**
 * A shed far east and a computer far west of Greenwich, so that a moment of the computer's clock or of UTC's in place of the shed's shows;
 * what is dated is looked at from both sides (server/src/site/ownDay.test.ts). Other parts run where this computer lies.
 */
const FAR_APART = { TEST_TIME_ZONE: 'Pacific/Auckland', TZ: 'America/Los_Angeles' };

const isSecurity = (path) => path.startsWith('security/');

/** What waits for nothing but a processor: runs beside the others, one after the other. */
const BESIDE_OTHERS = {
  core: (isBeside) => jest('core', [], { isBeside }),
  contracts: (isBeside) => jest('contracts', [], { isBeside }),
  lint: check('lint'),
  types: check('typecheck'),
  format: check('format:check'),
};
/** What reads the sources alone, and so begins before there is a build. */
const WITHOUT_BUILD = new Set(['core', 'format']);
const IN_FRONT = {
  server: () => inGroups('server', 4, { zones: FAR_APART }),
  web: () => inGroups('web', 8),
  browser: () => jest('e2e', []),
};
/** What is run alone where somebody works on it, and otherwise with the whole that it is part of. */
const WITHIN_ANOTHER = {
  security: () => inGroups('server', 2, { isWanted: isSecurity, zones: FAR_APART }),
};
const PARTS = { ...BESIDE_OTHERS, ...IN_FRONT, ...WITHIN_ANOTHER };

const wanted = process.argv.slice(2);
const unknown = wanted.filter((name) => !(name in PARTS));
if (unknown.length) {
  console.error(
    `There is no part "${unknown.join('", "')}". The parts are: ${Object.keys(PARTS).join(', ')}.`,
  );
  process.exit(2);
}

const isMeant = (name) => (wanted.length ? wanted.includes(name) : !(name in WITHIN_ANOTHER));
const front = Object.keys({ ...IN_FRONT, ...WITHIN_ANOTHER }).filter(isMeant);
const others = Object.keys(BESIDE_OTHERS).filter(isMeant);
let [passed, failed] = [0, 0];

async function runPart(name, isBeside) {
  const from = performance.now();
  if (!isBeside) console.log(`\n== ${name}`);
  const result = await PARTS[name](isBeside);
  passed += result.passed;
  failed += result.failed;
  const seconds = `   ${Math.round((performance.now() - from) / 1000)} s`;
  if (isBeside) return `\n== ${name}\n${result.said.trimEnd()}\n${seconds}`;
  console.log(seconds);
  return '';
}

async function build() {
  const { succeeded } = await run([process.execPath, join(root, 'scripts', 'prepare.mjs')]);
  if (succeeded) return;
  for (const child of running) child.kill();
  process.exit(1);
}

const needsBuild = [...front, ...others].some((name) => !WITHOUT_BUILD.has(name));
const built = needsBuild ? build() : Promise.resolve();

async function runBeside() {
  const told = [];
  for (const name of others) {
    if (!WITHOUT_BUILD.has(name)) await built;
    told.push(await runPart(name, front.length > 0));
  }
  return told;
}

const beside = runBeside();
await built;
if (!front.length) await beside;
for (const name of front) await runPart(name, false);
for (const told of await beside) if (told) console.log(told);
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed ? 1 : 0);
