// How much of a published plan changes when it is planned again after a reading, or after a wet week. `npm run bench -- replan`.
import { createRequire } from 'node:module';
import { performance } from 'node:perf_hooks';
import { fileURLToPath } from 'node:url';
import {
  ADD_COST,
  DROP_COST,
  planChange,
  plannerSolver,
  planSeason,
  planTroubles,
  TOLD_DAYS,
  usualEffort,
} from '@yugator/core';
import { testingModule } from './testingModule.mjs';

const root = fileURLToPath(new URL('..', import.meta.url));
const SEEDS = [1, 2, 3, 4, 5, 6];
const SITE = { machines: 60, weeks: 12, load: 0.7 };
const FIRST_SECONDS = 1;
const DONE_SECONDS = 4;
const MORE_HOURS = 14;
/** At most so many cards dropped in the median. */
const MOST_DROPPED = { reading: 4, wetWeek: 5 };

const effortOf = (seconds) => ({ milliseconds: seconds * 1000, gap: 0.01, now: () => performance.now() });

function median(values) {
  const ordered = [...values].sort((a, b) => a - b);
  return ordered[Math.floor(ordered.length / 2)];
}

/** The visits of the weeks that the crew was told of. */
const told = (plan) => plan.map((visits) => visits.filter(({ day }) => day < TOLD_DAYS));

function withPublished(site, plan) {
  return {
    ...site,
    published: { until: TOLD_DAYS, addCost: ADD_COST },
    machines: site.machines.map((machine, at) => ({
      ...machine,
      published: plan[at].map(({ day, items }) => ({ day, items, dropCost: DROP_COST })),
    })),
  };
}

/** One machine has run far more than it used to. */
function afterReading(site, seed) {
  const at = (seed * 17) % site.machines.length;
  const machines = site.machines.map((machine, place) =>
    place === at
      ? {
          ...machine,
          items: machine.items.map((item) => ({
            ...item,
            usedHours: item.usedHours + MORE_HOURS,
            hoursToMark: item.hoursToMark === null ? null : item.hoursToMark - MORE_HOURS,
          })),
        }
      : machine,
  );
  return { ...site, machines };
}

/** In the second week nothing runs but a third of its hours. */
function afterWetWeek(site) {
  const machines = site.machines.map((machine) => {
    const lost = (2 / 3) * (machine.hoursBy[14] - machine.hoursBy[7]);
    return {
      ...machine,
      hoursBy: machine.hoursBy.map((hours, day) =>
        day <= 7 ? hours : day >= 14 ? hours - lost : hours - (2 / 3) * (hours - machine.hoursBy[7]),
      ),
    };
  });
  return { ...site, machines };
}

function replan(site, published, solver) {
  const began = performance.now();
  let first = Infinity;
  const asked = withPublished(site, published);
  const { plan } = planSeason(
    asked,
    solver,
    usualEffort(asked, () => performance.now()),
    () => {
      first = Math.min(first, (performance.now() - began) / 1000);
    },
  );
  const seconds = (performance.now() - began) / 1000;
  const { dropped, added } = planChange(published, told(plan));
  return { first, seconds, dropped, added, forced: planTroubles(site, published, TOLD_DAYS).length };
}

/** Prints how much changes; whether it is as little as promised. */
export async function benchReplan() {
  const { inventedSite } = await testingModule(root, 'planner/testing/invented.ts');
  const solver = plannerSolver(await createRequire(`${root}/web/package.json`)('highs')());
  const cases = { reading: [], wetWeek: [] };
  for (const seed of SEEDS) {
    const site = inventedSite({ ...SITE, seed });
    const published = told(planSeason(site, solver, effortOf(8)).plan);
    cases.reading.push(replan(afterReading(site, seed), published, solver));
    cases.wetWeek.push(replan(afterWetWeek(site), published, solver));
  }
  let isKept = true;
  for (const [name, took] of Object.entries(cases)) {
    const [dropped, added] = ['dropped', 'added'].map((key) => took.map((each) => each[key]));
    const first = Math.max(...took.map((each) => each.first));
    const done = Math.max(...took.map((each) => each.seconds));
    console.log(
      `  after ${name === 'reading' ? `a reading of ${MORE_HOURS} h more` : 'a wet week'}: ${median(dropped)} cards dropped in the median (at most ${MOST_DROPPED[name]}), ${Math.max(...dropped)} at most; ${median(added)} added; troubles named ${took.map(({ forced }) => forced).join(', ')}; first plan after ${first.toFixed(1)} s, done after ${done.toFixed(1)} s`,
    );
    isKept &&= median(dropped) <= MOST_DROPPED[name] && first <= FIRST_SECONDS && done <= DONE_SECONDS + 0.5;
  }
  return isKept;
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  if (!(await benchReplan())) process.exitCode = 1;
}
