// Measures Today for a fleet of 1,000 machines × 30 items with two years of weekly readings, asked of the running program.
import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { performance } from 'node:perf_hooks';
import { addDays, civilDate } from '@yugator/core';

const PORT = '8498';
const ADDRESS = `http://127.0.0.1:${PORT}`;
const MACHINES = 1000;
const ITEMS = 30;
const WEEKS = 104;
const RUNS = 41;

function start(root, data) {
  return new Promise((resolve, reject) => {
    const child = spawn('./start', ['--data', data, '--port', PORT, '--empty'], { cwd: root });
    child.stdout.on('data', (chunk) => String(chunk).includes('Ctrl-C stops it.') && resolve(child));
    child.stderr.pipe(process.stderr);
    child.once('exit', () => reject(new Error('./start did not come up.')));
  });
}

const INTERVALS = [10, 25, 50, 100, 200, 400];
const ACTIONS = ['replace', 'clean', 'inspect', 'grease'];

function book() {
  return {
    ...{ name: 'Bench book', machineClass: 'zeroTurn', meter: 'engine' },
    items: Array.from({ length: ITEMS }, (_, index) => ({
      ...{ name: `Item ${index}`, action: ACTIONS[index % 4], component: `component ${index >> 1}` },
      ...{ renews: [], minutes: 10, reference: '', note: '' },
      triggers: [
        { kind: 'everyHours', hours: INTERVALS[index % 6], meter: 'engine', grid: null },
        ...(index % 2 ? [{ kind: 'everyCalendar', count: 12, unit: 'month' }] : []),
      ],
    })),
  };
}

function machine(number, today) {
  const perWeek = 3 + (number % 17) / 3;
  const start = addDays(today, -7 * WEEKS - 1 - (number % 6));
  const life = (week) => Math.round(perWeek * (week + 1) * 10) / 10;
  const services = [20, 45, 70, 95].flatMap((week) =>
    Array.from({ length: ITEMS }, (_, index) => ({
      ...{ book: 'Bench book', item: `Item ${index}` },
      ...{ on: addDays(start, 7 * (week + (index % 8)) + 1), life: life(week + (index % 8)) },
    })),
  );
  return {
    ...{
      tag: `B-${number}`,
      name: `Machine ${number}`,
      machineClass: 'zeroTurn',
      make: '',
      model: '',
      fuel: 'gasoline',
    },
    ...{
      shed: `Shed ${number % 5}`,
      walkOrder: number % 100,
      inServiceOn: start,
      inServiceHours: 0,
      cameNew: true,
    },
    ...{
      status: 'inService',
      books: ['Bench book'],
      attachments: [],
      overrides: [],
      segments: [],
      declared: [],
    },
    seasons: [{ season: 'Mowing', hoursPerWeek: 4 + (number % 5) }],
    readings: Array.from({ length: WEEKS }, (_, week) => ({
      at: `${addDays(start, 7 * week + 1)}T15:${10 + (number % 50)}:00Z`,
      shown: life(week),
    })),
    done: services,
  };
}

async function ask(method, path, cookie, body) {
  const answer = await fetch(`${ADDRESS}/api${path}`, {
    method,
    headers: { 'content-type': 'application/json', ...(cookie ? { cookie } : {}) },
    ...(body ? { body: JSON.stringify(body) } : {}),
  });
  if (!answer.ok) throw new Error(`${method} ${path}: ${answer.status} ${await answer.text()}`);
  return answer;
}

/** Fills an empty Yugator through its own doors and prints how long Today takes. */
export async function benchToday(root) {
  const data = mkdtempSync(join(tmpdir(), 'yugator-today-'));
  const child = await start(root, data);
  try {
    const lead = {
      siteName: 'Bench',
      timeZone: 'Europe/London',
      name: 'Bench lead',
      password: 'a short sentence',
    };
    const welcome = await ask('POST', '/first-crew-lead', null, lead);
    const cookie = (welcome.headers.get('set-cookie') ?? '').split(';')[0];
    const { today } = await (await ask('GET', '/session', cookie)).json();
    const day = civilDate(today);
    const year = Number(today.slice(0, 4));
    const seasons = [
      { name: 'Mowing', years: [{ year, firstDay: `${year}-01-01`, lastDay: `${year}-12-31` }] },
    ];
    const site = { timeZone: 'Europe/London', hoursGrid: 'sinceDone' };
    for (let from = 0; from < MACHINES; from += 100) {
      const machines = Array.from({ length: 100 }, (_, index) => machine(from + index, day));
      const file = { format: 'yugator-fleet', version: 1, site, seasons, books: [book()], machines };
      await ask('POST', '/fleet/import', cookie, { file, isTrial: false });
    }
    const began = performance.now();
    const first = await (await ask('GET', '/today', cookie)).json();
    const cold = performance.now() - began;
    if (first.counts.machines !== MACHINES) throw new Error('The fleet is not whole.');
    const times = [];
    for (let run = 0; run < RUNS; run += 1) {
      const at = performance.now();
      await (await ask('GET', '/today', cookie)).text();
      times.push(performance.now() - at);
    }
    times.sort((a, b) => a - b);
    const median = times[RUNS >> 1];
    console.log(
      `  /api/today, ${MACHINES} machines × ${ITEMS} items, median  ${median.toFixed(0)} ms (at most 150 ms)`,
    );
    console.log(`  the same, first time after a start              ${cold.toFixed(0)} ms`);
  } finally {
    child.kill('SIGTERM');
    await new Promise((resolve) => child.once('exit', resolve));
    rmSync(data, { recursive: true, force: true });
  }
}
