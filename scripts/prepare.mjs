// Brings a checkout to where it can run: packages by the lock file, and a build of the sources as they are. Does nothing twice.
// `--packages`: those alone, for who has work that needs no build.
// Plain JavaScript, because it runs before anything is installed.
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

const root = fileURLToPath(new URL('..', import.meta.url));
const INSTALLED = join(root, 'node_modules', '.yugator-installed');
const BUILT = join(root, 'node_modules', '.yugator-built');
const SOURCES = ['core', 'contracts', 'server', 'web'];
const LEFT_OUT = new Set(['node_modules', 'dist', '.yugator', 'testing']);

function filesBelow(folder) {
  return readdirSync(join(root, folder), { withFileTypes: true })
    .filter((entry) => !LEFT_OUT.has(entry.name) && !/\.test\.tsx?$|\.tsbuildinfo$/.test(entry.name))
    .sort((a, b) => (a.name < b.name ? -1 : 1))
    .flatMap((entry) => {
      const path = join(folder, entry.name);
      return entry.isDirectory() ? filesBelow(path) : [path];
    });
}

function fingerprint(files) {
  const hash = createHash('sha256').update(process.version);
  for (const file of files) hash.update(`\n${file}\n`).update(readFileSync(join(root, file)));
  return hash.digest('hex');
}

function isDone(stamp, print) {
  return existsSync(stamp) && readFileSync(stamp, 'utf8') === print;
}

function run(what, command, args, env = process.env) {
  const { status, stdout, stderr, error } = spawnSync(command, args, { cwd: root, encoding: 'utf8', env });
  if (status === 0) return;
  process.stderr.write(`${stdout ?? ''}${stderr ?? ''}`);
  process.stderr.write(
    `${what} did not work${error ? `: ${error.message}` : ''}. The lines above say why.\n`,
  );
  process.exit(1);
}

function build() {
  const sources = fingerprint([
    'package-lock.json',
    'package.json',
    'tsconfig.base.json',
    ...['bundleServer.mjs', 'keepCode.cjs', 'wholeServer.cjs'].map((name) => `scripts/${name}`),
    // Shown on the help pages.
    'docs/schedule.md',
    'docs/forecast.md',
    ...SOURCES.flatMap(filesBelow),
  ]);
  const isWhole =
    existsSync(join(root, 'server/dist/whole/start.cjs.code')) &&
    existsSync(join(root, 'web/dist/index.html'));
  if (!isWhole || !isDone(BUILT, sources)) {
    console.error('Building …');
    // Whoever asks, a test run among them, gets what the crew gets.
    run('The build', 'npm', ['run', '--silent', 'build'], { ...process.env, NODE_ENV: 'production' });
    writeFileSync(BUILT, sources);
  }
}

try {
  const lock = fingerprint([
    'package-lock.json',
    'package.json',
    ...[...SOURCES, 'e2e'].map((name) => `${name}/package.json`),
  ]);
  if (!isDone(INSTALLED, lock)) {
    console.error('Installing packages …');
    run('Installing the packages', 'npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error']);
    writeFileSync(INSTALLED, lock);
  }
  if (!process.argv.includes('--packages')) build();
} catch (error) {
  const isFull = error.code === 'ENOSPC';
  process.stderr.write(
    isFull ? 'The disk is full. Free some space and start again.\n' : `${error.stack ?? error}\n`,
  );
  process.exit(1);
}
