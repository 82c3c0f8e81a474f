// How near the season plan comes to the best possible, in how long, and against what a careful person plans by hand. `npm run bench -- planner`.
import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { performance } from 'node:perf_hooks';
import { fileURLToPath } from 'node:url';
import { coarsen, plannerSolver, planSeason } from '@yugator/core';
import { testingModule } from './testingModule.mjs';

const root = fileURLToPath(new URL('..', import.meta.url));

/** Groups of invented sites, and what is promised of them: gaps in per cent after so many seconds. */
const GROUPS = [
  {
    name: '60 machines, 12 weeks, load up to 0.7',
    sites: [
      ...[1, 2, 3].map((seed) => ({ machines: 60, weeks: 12, seed, load: 0.55 })),
      ...[1, 2, 3, 4, 5, 6].map((seed) => ({ machines: 60, weeks: 12, seed, load: 0.7 })),
    ],
    seconds: 15,
    promised: [
      { after: 5, median: 3 },
      { after: 15, median: 1 },
    ],
  },
  {
    name: '60 machines, 12 weeks, load 0.85: not all fits',
    sites: [1, 2, 3].map((seed) => ({ machines: 60, weeks: 12, seed, load: 0.85 })),
    seconds: 30,
    promised: [{ after: 30, median: 3, worst: 4.5 }],
  },
  {
    name: '120 machines, 12 weeks, load 0.7',
    sites: [1, 2, 3].map((seed) => ({ machines: 120, weeks: 12, seed, load: 0.7 })),
    seconds: 15,
    promised: [{ after: 15, median: 1 }],
  },
  {
    name: '60 machines, 26 weeks, load 0.7, what lies beyond twelve weeks by week',
    sites: [1, 2, 3].map((seed) => ({ machines: 60, weeks: 26, seed, load: 0.7, dailyUntil: 84 })),
    seconds: 30,
    promised: [{ after: 30, median: 2.5 }],
  },
  {
    name: '5 machines, 12 weeks, load 0.7',
    sites: [1, 2, 3].map((seed) => ({ machines: 5, weeks: 12, seed, load: 0.7 })),
    seconds: 30,
    // As the application plans: the solver goes another way to a proof that need not be as sharp.
    gap: 0.01,
    promised: [{ after: 31, median: 1 }],
  },
  {
    name: '20 machines, 12 weeks, load 0.7',
    sites: [1, 2, 3, 4, 5, 6, 7, 8, 9].map((seed) => ({ machines: 20, weeks: 12, seed, load: 0.7 })),
    seconds: 30,
    promised: [{ after: 30, median: 2, worst: 6 }],
  },
];

/** Planning goes on until it is so near to the best possible, to see what it reaches in a time. */
const SHARP = 0.002;
const FIRST_SECONDS = 1;
const MOST_MB = 300;

function median(values) {
  const ordered = [...values].sort((a, b) => a - b);
  return ordered[Math.floor(ordered.length / 2)];
}

/** A site and a smaller one to warm up on, as data: all that a worker gets. */
async function sitesOf({ dailyUntil = Infinity, ...wanted }) {
  const { inventedSite } = await testingModule(root, 'planner/testing/invented.ts');
  // The engine has compiled what runs often by then, as in a worker that is kept warm.
  const warmUp = inventedSite({ machines: 20, weeks: 12, seed: 99, load: 0.7 });
  return { warmUp, site: coarsen(inventedSite(wanted), dailyUntil) };
}

/** Plans a site in this process, which holds nothing but the planner: its memory is the planner's. */
async function plan({ warmUp, site }, seconds, gap) {
  const load = createRequire(`${root}/web/package.json`)('highs');
  const solver = plannerSolver(await load());
  planSeason(warmUp, solver, effortOf(3, gap));
  const began = performance.now();
  const marks = [];
  const found = planSeason(site, solver, effortOf(seconds, gap), ({ cost, bound }) =>
    marks.push({ at: (performance.now() - began) / 1000, gap: (100 * (cost - bound)) / cost }),
  );
  return { marks, found, memory: process.resourceUsage().maxRSS / 1e3 };
}

/** Plans a site in a process of its own, and judges its plan. */
async function measure(wanted, seconds, gap = SHARP) {
  const sites = await sitesOf(wanted);
  const { site } = sites;
  const { marks, found, memory } = inOwnProcess({ sites, seconds, gap });
  const { walked } = await testingModule(root, 'planner/testing/walked.ts');
  const { plannedByHand } = await testingModule(root, 'planner/testing/byHand.ts');
  const own = walked(site, found.plan);
  const byHand = ['byItem', 'byMachine'].map((rule) => walked(site, plannedByHand(site, rule)));
  return {
    marks,
    memory,
    faults: own.faults.length,
    lateness: own.lateness / Math.min(...byHand.map((each) => each.lateness)),
    cost: own.cost / Math.min(...byHand.map((each) => each.cost)),
    // No plan costs less.
    leastCost: found.bound / Math.min(...byHand.map((each) => each.cost)),
    minutes: byHand.map((each) => own.minutes / each.minutes),
  };
}

function effortOf(seconds, gap) {
  return { milliseconds: seconds * 1000, gap, now: () => performance.now() };
}

function gapAfter({ marks }, seconds) {
  return marks.filter(({ at }) => at <= seconds + 0.5).at(-1)?.gap ?? Infinity;
}

function inOwnProcess(wanted) {
  const input = JSON.stringify(wanted);
  const { stdout, stderr, status } = spawnSync(process.execPath, [fileURLToPath(import.meta.url), 'plan'], {
    input,
    encoding: 'utf8',
    maxBuffer: 2 ** 28,
  });
  if (status !== 0) throw new Error(stderr);
  return JSON.parse(stdout);
}

const per = (value) => `${value.toFixed(2)} %`;
const share = (value) => value.toFixed(2);

/** Prints what the planner reaches; whether it is as promised. */
export async function benchPlanner() {
  let isKept = true;
  for (const { name, sites, seconds, gap, promised } of GROUPS) {
    const took = [];
    for (const wanted of sites) took.push(await measure(wanted, seconds, gap));
    console.log(`  ${name} (${sites.length} sites):`);
    const first = Math.max(...took.map(({ marks }) => marks[0].at));
    console.log(`    first plan after at most ${first.toFixed(1)} s`);
    isKept &&= first <= FIRST_SECONDS && took.every(({ faults }) => faults === 0);
    for (const { after, median: most, worst = Infinity } of promised) {
      const gaps = took.map((each) => gapAfter(each, after));
      const [middle, furthest] = [median(gaps), Math.max(...gaps)];
      const limit = worst < Infinity ? `, worst ${worst} %` : '';
      console.log(
        `    after ${after} s within ${per(middle)} of the best possible, worst ${per(furthest)} (at most ${most} %${limit})`,
      );
      isKept &&= middle <= most && furthest <= worst;
    }
    const late = took.map(({ lateness }) => lateness);
    const cost = took.map(({ cost: own }) => own);
    const { leastCost: least } = took.toSorted((a, b) => b.cost - a.cost)[0];
    const [byItem, byMachine] = [0, 1].map((rule) => median(took.map(({ minutes }) => minutes[rule])));
    console.log(
      `    of the better plan by hand: lateness ${share(median(late))}, worst ${share(Math.max(...late))}; cost ${share(median(cost))}, worst ${share(Math.max(...cost))}, where no plan is below ${share(least)}`,
    );
    console.log(`    minutes of each item by itself ${share(byItem)}, of whole machines ${share(byMachine)}`);
    const memory = Math.max(...took.map((each) => each.memory));
    console.log(`    memory ${memory.toFixed(0)} MB (at most ${MOST_MB})`);
    isKept &&= memory <= MOST_MB;
  }
  return isKept;
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  const [asked] = process.argv.slice(2);
  if (asked === 'plan') {
    const { sites, seconds, gap } = JSON.parse(readFileSync(0, 'utf8'));
    process.stdout.write(JSON.stringify(await plan(sites, seconds, gap)));
  } else if (asked) {
    const { wanted, seconds, gap } = JSON.parse(asked);
    console.log(JSON.stringify(await measure(wanted, seconds, gap)));
  } else if (!(await benchPlanner())) process.exitCode = 1;
}
