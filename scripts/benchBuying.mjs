// How long What to buy takes for a big crew: 60 machines, 72 loose articles and 8 kits at four suppliers, half a year.
import { performance } from 'node:perf_hooks';
import { createRequire } from 'node:module';
import { fileURLToPath } from 'node:url';
import { planBuying, solveWithHighs, warmUpInstance } from '@yugator/core';

const GAP = 0.01;
const MOST_MS = 3000;
const DAYS = 182;
const SUPPLIERS = [
  { leadDays: 0, carriageMinor: 0, freeFromMinor: null },
  { leadDays: 2, carriageMinor: 650, freeFromMinor: 15_000 },
  { leadDays: 5, carriageMinor: 950, freeFromMinor: 25_000 },
  { leadDays: 14, carriageMinor: 1200, freeFromMinor: 40_000 },
];

/** Numbers that are the same for the same seed (a linear congruential generator). */
function numbers(seed) {
  let state = seed;
  const next = () => {
    state = (state * 1_103_515_245 + 12_345) % 2_147_483_648;
    return state / 2_147_483_648;
  };
  return { chance: next, whole: (low, high) => low + Math.floor(next() * (high - low + 1)) };
}

function shelf({ chance, whole }) {
  const parts = Array.from({ length: 72 }, (_, at) => ({
    id: `a${at}`,
    unit: at % 6 === 5 ? 'litre' : 'piece',
    onHand: chance() < 0.5 ? 0 : whole(0, 4),
    keep: chance() < 0.5 ? 0 : whole(1, 3),
    arrivals: chance() < 0.9 ? [] : [{ day: whole(1, 14), quantity: whole(1, 4) }],
    contents: [],
  }));
  const kits = Array.from({ length: 8 }, (_, at) => ({
    id: `k${at}`,
    unit: 'piece',
    onHand: whole(0, 2),
    keep: whole(0, 1),
    arrivals: [],
    contents: [...new Set(Array.from({ length: 4 }, () => whole(0, 71)))].map((part) => ({
      articleId: `a${part}`,
      quantity: parts[part].unit === 'litre' ? whole(2, 5) : whole(1, 2),
    })),
  }));
  return { parts, kits };
}

function sold({ parts, kits }, { chance, whole }) {
  const prices = new Map(parts.map(({ id }) => [id, whole(300, 4000)]));
  const offers = [];
  const sell = (articleId, at, pack, priceMinor) =>
    offers.push({
      id: `o${offers.length}`,
      articleId,
      supplierId: `s${at}`,
      pack,
      priceMinor: Math.round(priceMinor),
      leadDays: SUPPLIERS[at].leadDays,
    });
  for (const { id, unit } of parts)
    for (const at of SUPPLIERS.keys()) {
      if (chance() > 0.6) continue;
      const packs = unit === 'litre' ? [1, 5, 20] : chance() < 0.3 ? [1, 10] : [1];
      for (const pack of packs)
        sell(id, at, pack, prices.get(id) * pack * (pack > 1 ? 0.85 : 1) * (0.9 + 0.3 * chance()));
    }
  for (const { id, contents } of kits) {
    const loose = contents.reduce((sum, each) => sum + prices.get(each.articleId) * each.quantity, 0);
    for (const at of [1, 2, 3]) sell(id, at, 1, loose * (0.75 + 0.2 * chance()));
  }
  return offers;
}

function services({ parts }, { chance, whole }) {
  return Array.from({ length: 60 }, () => {
    const own = [...new Set(Array.from({ length: 10 }, () => whole(0, 71)))];
    return own.flatMap((part) => {
      const quantity = parts[part].unit === 'litre' ? [1.9, 2.3, 3.6, 4.1, 5.2][whole(0, 4)] : whole(1, 2);
      return Array.from({ length: whole(1, 4) }, () => ({
        day: whole(0, DAYS - 1),
        articles: [
          { articleId: `a${part}`, quantity },
          ...(chance() < 0.3 ? [{ articleId: `a${(part + 6) % 72}`, quantity }] : []),
        ],
      }));
    });
  }).flat();
}

function instance(seed) {
  const from = numbers(seed);
  const { parts, kits } = shelf(from);
  return {
    articles: [...parts, ...kits],
    offers: sold({ parts, kits }, from),
    services: services({ parts }, from),
    suppliers: SUPPLIERS.map(({ carriageMinor, freeFromMinor }, at) => ({
      id: `s${at}`,
      carriageMinor,
      freeFromMinor,
    })),
  };
}

/**
 * Prints how long nine such crews take until the cost is within 1 % of the least possible; whether the slowest is quick enough. The first
 * is told apart: until the engine has compiled what the solver runs often, it runs at about half its pace, so a made-up crew goes before,
 * as it does in the page while the facts are read.
 */
export async function benchBuying(root) {
  const load = createRequire(`${root}/web/package.json`)('highs');
  const solve = solveWithHighs(await load());
  planBuying(warmUpInstance(), solve, { gap: 0, seconds: 0.9 });
  const took = [1, 1, 3, 5, 7, 9, 11, 13, 23, 42].map((seed) => {
    const asked = instance(seed);
    const began = performance.now();
    const plan = planBuying(asked, solve, { gap: GAP, seconds: 60 });
    return { ms: performance.now() - began, gap: plan?.gap ?? NaN };
  });
  const [cold, ...warm] = took.map(({ ms }) => ms);
  warm.sort((a, b) => a - b);
  const [median, worst] = [warm[4], warm[8]];
  const gap = Math.max(...took.map((each) => each.gap));
  const seconds = (ms) => `${(ms / 1000).toFixed(1)} s`;
  console.log(
    `  what to buy for 60 machines, half a year        ${seconds(median)}, worst ${seconds(worst)}, the first of all ${seconds(cold)}, within ${(gap * 100).toFixed(2)} % of the least (at most 3 s and 1 %)`,
  );
  return Math.max(worst, cold) <= MOST_MS && gap <= GAP;
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  const root = fileURLToPath(new URL('..', import.meta.url));
  if (!(await benchBuying(root))) process.exitCode = 1;
}
