// Measures the schedule alone: due answers and dates of a whole fleet, on one core.
import { performance } from 'node:perf_hooks';
import {
  addDays,
  civilDate,
  COMPONENT_KEYS,
  instant,
  lifeHours,
  machineSchedule,
  scheduleContext,
} from '@yugator/core';

const TODAY = civilDate('2027-05-13');
const WEEKS = 104;
const ITEMS = 30;
const SITE = {
  timeZone: 'Europe/London',
  grid: 'sinceDone',
  seasons: [
    {
      id: 'mowing',
      name: 'Mowing',
      years: [{ year: 2026, firstDay: civilDate('2026-03-24'), lastDay: civilDate('2026-10-24') }],
    },
    {
      id: 'leaves',
      name: 'Leaves',
      years: [{ year: 2026, firstDay: civilDate('2026-10-10'), lastDay: civilDate('2026-12-12') }],
    },
  ],
};

/** A book of 30 items; machines share it as they do in a shed. */
function book(number) {
  return Array.from({ length: ITEMS }, (_, index) => ({
    id: `b${number}i${index}`,
    name: `Item ${index}`,
    action: ['replace', 'clean', 'inspect', 'grease'][index % 4],
    components: [COMPONENT_KEYS[index >> 1]],
    oldWords: '',
    renews: [],
    dutyFactor: 1,
    window: { hours: null, days: null },
    consequence: null,
    triggers: [
      {
        kind: 'everyHours',
        hours: [10, 25, 50, 100, 200, 400][(index + number) % 6],
        meter: 'engine',
        grid: null,
      },
      ...(index % 2 ? [{ kind: 'everyCalendar', count: 12, unit: 'month', inUse: null }] : []),
      ...(index % 5 === 0 ? [{ kind: 'seasonEdge', season: 'Mowing', edge: 'first', offsetDays: -14 }] : []),
    ],
  }));
}

const BOOKS = Array.from({ length: 6 }, (_, number) => book(number));

/** A machine of 30 items, two years of weekly readings and some services of each item; no two are alike. */
function machine(number) {
  const perWeek = 3 + (number % 17) / 3;
  const start = addDays(TODAY, -7 * WEEKS - (number % 7));
  const readings = Array.from({ length: WEEKS }, (_, week) => ({
    at: instant(`${addDays(start, 7 * week + 1)}T15:${10 + (number % 50)}:00Z`),
    shown: Math.round(perWeek * (week + 1) * 10) / 10,
  }));
  const items = BOOKS[number % BOOKS.length];
  const history = new Map(
    items.map(({ id }, index) => [
      id,
      {
        declared: [],
        completions: [20, 45, 70, 95].map((week) => ({
          on: addDays(start, 7 * (week + (index % 8)) + 1),
          life: lifeHours(perWeek * (week + (index % 8) + 1)),
        })),
      },
    ]),
  );
  return {
    entry: { on: start, life: lifeHours(0), cameNew: true },
    segments: [{ startsAt: instant(`${start}T00:00:00Z`), offset: 0 }],
    attachments: [],
    participation: [
      { seasonId: 'mowing', hoursPerWeek: 4 + (number % 5) },
      { seasonId: 'leaves', hoursPerWeek: 3 },
    ],
    status: { kind: 'inService', since: null },
    omitted: [],
    readings,
    items,
    history,
  };
}

function milliseconds(fleet) {
  const began = performance.now();
  const context = scheduleContext(SITE, TODAY);
  let answers = 0;
  for (const facts of fleet) answers += machineSchedule(facts, context).answers.length;
  if (answers !== fleet.length * ITEMS) throw new Error('An item has no answer.');
  return performance.now() - began;
}

/** Prints due and dates for fleets of 250 to 2,000 machines. */
export function benchSchedule() {
  const fleet = Array.from({ length: 2000 }, (_, number) => machine(number));
  milliseconds(fleet.slice(0, 500));
  for (const size of [250, 500, 1000, 2000]) {
    const runs = Array.from({ length: 9 }, () => milliseconds(fleet.slice(0, size))).sort((a, b) => a - b);
    const note = size === 1000 ? ' (at most 250 ms)' : '';
    console.log(
      `  due and dates, ${String(size).padStart(5)} machines × ${ITEMS} items        ${runs[4].toFixed(0)} ms, ${((1000 * runs[4]) / size).toFixed(0)} µs each${note}`,
    );
  }
}
