// Measures what the first load of each route weighs: all scripts that it needs before it can be read, gzipped, and how many they are; and
// what the heaviest one fetches with its chart, as browsers get it (Brotli, prepared at the build).
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { gzipSync } from 'node:zlib';

const MOST_KB = 300;
/** A browser asks for six at a time, and on the signal of a shed each turn takes its time. */
const MOST_SCRIPTS = 36;
const MACHINE = 'machine/MachinePage';
const CHART = ['machine/Use', 'machine/UseChart'];

/** The scripts that a chunk needs before it runs, itself included. */
function closure(manifest, key, seen = new Set()) {
  if (seen.has(key)) return seen;
  seen.add(key);
  for (const other of manifest[key]?.imports ?? []) closure(manifest, other, seen);
  return seen;
}

function importsOf(root, file) {
  const text = readFileSync(join(root, 'web/src', file), 'utf8');
  return [...text.matchAll(/import\('\.\.?\/([\w/]+)\.js'\)\)/g)].map(([, path]) => path);
}

/** Prints a row for each route and tab and returns whether all stay within the limit. */
export function benchLoads(root) {
  const dist = join(root, 'web', 'dist');
  const manifest = JSON.parse(readFileSync(join(dist, '.vite', 'manifest.json'), 'utf8'));
  const entry = Object.keys(manifest).find((key) => manifest[key].isEntry);
  const routes = importsOf(root, 'routes.tsx');
  const tabs = importsOf(root, `${MACHINE}.tsx`).map((path) =>
    path.includes('/') ? path : `machine/${path}`,
  );
  if (!entry || routes.length < 15 || tabs.length < 6)
    throw new Error('The routes of the web are not found.');
  const weigh = (paths, bytesOf) => {
    const pages = paths.map((path) => `src/${path}.tsx`);
    for (const page of pages) if (!manifest[page]) throw new Error(`${page} is no chunk of its own.`);
    const scripts = new Set([entry, ...pages].flatMap((key) => [...closure(manifest, key)]));
    const files = new Set([...scripts].map((key) => join(dist, manifest[key].file)));
    const kilobytes = [...files].reduce((sum, file) => sum + bytesOf(file), 0) / 1024;
    return { kilobytes, scripts: files.size };
  };
  const gzipped = (file) => gzipSync(readFileSync(file)).length;
  const brotli = (file) => {
    const plain = readFileSync(file);
    return plain.length < 1024 ? plain.length : readFileSync(`${file}.br`).length;
  };
  const rows = [
    ...routes.map((path) => [path, weigh([path], gzipped), 'gzip']),
    ...tabs.map((tab) => [`${MACHINE}, ${tab}`, weigh([MACHINE, tab], gzipped), 'gzip']),
    [`${MACHINE}, with its chart`, weigh([MACHINE, ...CHART], brotli), 'Brotli'],
  ];
  for (const [what, { kilobytes, scripts }, how] of rows) {
    const weight = `${kilobytes.toFixed(0).padStart(4)} kB, ${how} (at most ${MOST_KB})`;
    console.log(`  first load of ${what.padEnd(42)} ${weight}, ${scripts} scripts (at most ${MOST_SCRIPTS})`);
  }
  return rows.every(([, { kilobytes, scripts }]) => kilobytes <= MOST_KB && scripts <= MOST_SCRIPTS);
}

// By itself, for the browser tests.
if (process.argv[1] === fileURLToPath(import.meta.url))
  process.exitCode = benchLoads(fileURLToPath(new URL('..', import.meta.url))) ? 0 : 1;
