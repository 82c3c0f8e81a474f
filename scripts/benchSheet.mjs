import 'reflect-metadata';
import { performance } from 'node:perf_hooks';
import { composeSheet, DEFAULT_HOUSE, usualFittings } from '../core/dist/index.js';
import { CATALOGUE } from '../server/dist/books/catalogue.js';
import { specCardOf } from '../server/dist/demo/specCards.js';

/** How long a job of 15 items takes to be composed: `npm run bench`. */

const ITEMS = 15;
const ROUNDS = 60;
const MOST_MS = 20;

function setUpOf(books, machineClass, fuel) {
  const items = books
    .flatMap((name) => CATALOGUE.filter((book) => book.name.startsWith(name)))
    .flatMap((book) => book.items)
    .slice(0, ITEMS)
    .map(({ name, action, components }, index) => ({ id: String(index), name, action, components }));
  const { cooling, spec } = specCardOf(machineClass, fuel);
  const fittings = usualFittings(machineClass, fuel);
  return { machineClass, fuel, cooling, fittings, ...DEFAULT_HOUSE, spec, items };
}

/** Milliseconds of the median of many rounds, after some to warm up. */
function median(set) {
  const times = Array.from({ length: ROUNDS + 20 }, () => {
    const before = performance.now();
    composeSheet(set);
    return performance.now() - before;
  });
  return times.slice(20).sort((a, b) => a - b)[ROUNDS / 2];
}

export function benchSheet() {
  const jobs = [
    ['riding mower, a year', setUpOf(['Quillon', 'Hobbin riding'], 'ridingMower', 'gasoline')],
    ['diesel tractor with loader, a year', setUpOf(['Dunmallet'], 'compactTractor', 'diesel')],
  ];
  for (const [name, set] of jobs) {
    const { steps, elapsed, handsOn, criticalPath } = composeSheet(set);
    const ms = median(set);
    console.log(
      `compose ${set.items.length} items (${name}): ${ms.toFixed(1)} ms, at most ${MOST_MS} wanted; ` +
        `${steps.length} steps, ${handsOn} min of hands, ${elapsed.one} min alone, ${elapsed.two} min for two, longest chain ${criticalPath}`,
    );
    if (ms > MOST_MS) process.exitCode = 1;
  }
}

if (process.argv[1] === new URL(import.meta.url).pathname) benchSheet();
