// Finds files that import each other in a circle, types included; prints each and fails where there is any.
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { dirname, join, normalize } from 'node:path';
import { fileURLToPath } from 'node:url';

const root = fileURLToPath(new URL('..', import.meta.url));
const IMPORTED = /(?:from|import\()\s*['"](\.[^'"?]+)/g;

const files = ['core', 'contracts', 'server', 'web'].flatMap((part) =>
  readdirSync(join(root, part, 'src'), { recursive: true, encoding: 'utf8' })
    .filter((name) => /\.tsx?$/.test(name))
    .map((name) => join(root, part, 'src', name)),
);

function importsOf(file) {
  return [...readFileSync(file, 'utf8').matchAll(IMPORTED)].flatMap(([, spec]) => {
    const path = normalize(join(dirname(file), spec));
    return ['.ts', '.tsx'].map((ending) => path.replace(/\.js$/, ending)).filter(existsSync);
  });
}

const known = new Map(files.map((file) => [file, importsOf(file)]));
const over = new Set();
const circles = [];

function walk(file, way) {
  if (over.has(file)) return;
  if (way.includes(file)) {
    circles.push([...way.slice(way.indexOf(file)), file]);
    return;
  }
  for (const next of known.get(file) ?? []) walk(next, [...way, file]);
  over.add(file);
}

for (const file of files) walk(file, []);
for (const circle of circles) console.error(circle.map((file) => file.slice(root.length)).join(' → '));
process.exit(circles.length ? 1 : 0);
