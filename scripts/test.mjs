// Runs the checks and tests, all or the parts that are named, and prints what passed over all of them as its last line.
import { spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

const root = fileURLToPath(new URL('..', import.meta.url));
const scratch = mkdtempSync(join(tmpdir(), 'yugator-tests-'));
const PART_TIMEOUT_MS = 20 * 60_000;

/** Runs a command to its end and tells whether it succeeded. */
function succeeds(command, ...args) {
  const { status, error } = spawnSync(command, args, {
    cwd: root,
    stdio: 'inherit',
    timeout: PART_TIMEOUT_MS,
    killSignal: 'SIGKILL',
  });
  if (error) console.error(error.message);
  return status === 0;
}

function check(command, ...args) {
  const passed = succeeds(command, ...args);
  return { passed: passed ? 1 : 0, failed: passed ? 0 : 1 };
}

/** A run that dies without counting its tests, or runs none, counts as one failure. */
function jest(folder, ...args) {
  const report = join(scratch, `${folder}.json`);
  const passed = succeeds(
    'npx',
    'jest',
    '-c',
    `${folder}/jest.config.cjs`,
    '--rootDir',
    folder,
    '--ci',
    '--json',
    `--outputFile=${report}`,
    ...args,
  );
  if (!existsSync(report)) return { passed: 0, failed: 1 };
  const { numPassedTests, numFailedTests, numRuntimeErrorTestSuites } = JSON.parse(
    readFileSync(report, 'utf8'),
  );
  const failed = numFailedTests + numRuntimeErrorTestSuites;
  return { passed: numPassedTests, failed: failed || (passed && numPassedTests > 0 ? 0 : 1) };
}

const PARTS = {
  format: () => check('npm', 'run', '--silent', 'format:check'),
  lint: () => check('npm', 'run', '--silent', 'lint'),
  types: () => check('npm', 'run', '--silent', 'typecheck'),
  core: () => jest('core'),
  contracts: () => jest('contracts'),
  server: () => {
    const whole = jest('server', '--testPathIgnorePatterns', '/node_modules/', '/dist/', '/src/security/');
    // What reckons with days and hours, twice more: from sheds far east and far west, on computers that lie there too.
    const far = ['Pacific/Auckland', 'America/Los_Angeles'].map((zone) => {
      Object.assign(process.env, { TEST_TIME_ZONE: zone, TZ: zone });
      return jest(
        'server',
        '--testPathPatterns',
        '/src/(evidence|fleetFile|job|machine|meter|schedule|season)/',
      );
    });
    delete process.env.TEST_TIME_ZONE;
    delete process.env.TZ;
    return [whole, ...far].reduce((a, b) => ({ passed: a.passed + b.passed, failed: a.failed + b.failed }));
  },
  security: () => jest('server', '--testPathPatterns', '/src/security/'),
  web: () => jest('web'),
  browser: () => jest('e2e', '--runInBand'),
};

const wanted = process.argv.slice(2);
const unknown = wanted.filter((name) => !(name in PARTS));
if (unknown.length) {
  console.error(
    `There is no part "${unknown.join('", "')}". The parts are: ${Object.keys(PARTS).join(', ')}.`,
  );
  process.exit(2);
}

let [passed, failed] = [0, 0];
for (const name of wanted.length ? wanted : Object.keys(PARTS)) {
  console.log(`\n== ${name}`);
  const result = PARTS[name]();
  passed += result.passed;
  failed += result.failed;
}
rmSync(scratch, { recursive: true, force: true });
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed ? 1 : 0);
