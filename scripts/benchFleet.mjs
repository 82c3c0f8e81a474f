// A running Yugator with a fleet of 1,000 machines × 30 items and two years of weekly readings, for the measurements of the server.
import { mkdtempSync, rmSync } from 'node:fs';
import { Agent, request } from 'node:http';
import { connect } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { addDays, civilDate } from '@yugator/core';
import { startYugator, stopYugator } from './startYugator.mjs';

export const MACHINES = 1000;
export const ITEMS = 30;
const WEEKS = 104;
const PASSWORD = 'a short sentence';

const loopSocket = (data) => join(data, 'loop.sock');

/** Asks the server of a data folder how long its event loop was held, in milliseconds, since it was last asked. */
function loopOf(data) {
  const socket = connect(loopSocket(data));
  return {
    longest: () =>
      new Promise((resolve, reject) => {
        socket.once('data', (chunk) => resolve(Number(chunk)));
        socket.once('error', reject);
        socket.write('?');
      }),
    stop: () => socket.destroy(),
  };
}

/** Starts the program of a checkout on no data; older ones print no set-up code. */
async function start(root, data, port) {
  const { child, output } = await startYugator(root, ['--data', data, '--port', port, '--empty'], {
    NODE_OPTIONS: `--import ${fileURLToPath(new URL('loopDelay.mjs', import.meta.url))}`,
    YUGATOR_LOOP_SOCKET: loopSocket(data),
  });
  return { child, code: /Set-up code: (\S+)/.exec(output)?.[1] };
}

const INTERVALS = [10, 25, 50, 100, 200, 400];
const ACTIONS = ['replace', 'clean', 'inspect', 'grease'];

function book() {
  return {
    name: 'Bench book',
    machineClass: 'zeroTurn',
    meter: 'engine',
    items: Array.from({ length: ITEMS }, (_, index) => ({
      name: `Item ${index}`,
      action: ACTIONS[index % 4],
      component: `component ${index >> 1}`,
      renews: [],
      minutes: 10,
      reference: '',
      note: '',
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
      book: 'Bench book',
      item: `Item ${index}`,
      on: addDays(start, 7 * (week + (index % 8)) + 1),
      life: life(week + (index % 8)),
    })),
  );
  return {
    tag: `B-${number}`,
    name: `Machine ${number}`,
    machineClass: 'zeroTurn',
    make: '',
    model: '',
    fuel: 'gasoline',
    shed: `Shed ${number % 5}`,
    walkOrder: number % 100,
    inServiceOn: start,
    inServiceHours: 0,
    cameNew: true,
    status: 'inService',
    books: ['Bench book'],
    attachments: [],
    overrides: [],
    segments: [],
    declared: [],
    seasons: [{ season: 'Mowing', hoursPerWeek: 4 + (number % 5) }],
    readings: Array.from({ length: WEEKS }, (_, week) => ({
      at: `${addDays(start, 7 * week + 1)}T15:${10 + (number % 50)}:00Z`,
      shown: life(week),
    })),
    done: services,
  };
}

/** Asks over connections that stay open, and returns status, body and milliseconds. */
export class Client {
  constructor(port, cookie = '') {
    this.port = port;
    this.cookie = cookie;
    this.agent = new Agent({ keepAlive: true, maxSockets: 64 });
  }

  ask(method, path, body, headers = {}) {
    const began = performance.now();
    return new Promise((resolve, reject) => {
      const sent = request(
        {
          host: '127.0.0.1',
          port: this.port,
          agent: this.agent,
          method,
          path: `/api${path}`,
          headers: {
            cookie: this.cookie,
            ...(body ? { 'content-type': 'application/json' } : {}),
            ...headers,
          },
        },
        (answer) => {
          const chunks = [];
          answer.on('data', (chunk) => chunks.push(chunk));
          answer.on('end', () =>
            resolve({
              status: answer.statusCode,
              headers: answer.headers,
              took: performance.now() - began,
              body: Buffer.concat(chunks),
            }),
          );
        },
      );
      sent.on('error', reject);
      if (body) sent.write(typeof body === 'string' ? body : JSON.stringify(body));
      sent.end();
    });
  }

  async want(method, path, body) {
    const answer = await this.ask(method, path, body);
    if (answer.status >= 400) throw new Error(`${method} ${path}: ${answer.status} ${answer.body}`);
    return answer.body.length ? JSON.parse(answer.body.toString()) : null;
  }
}

async function signedIn(port, code) {
  const lead = { siteName: 'Bench', timeZone: 'Europe/London', name: 'Bench lead', password: PASSWORD };
  const client = new Client(port);
  const answer = await client.ask('POST', '/first-crew-lead', code ? { ...lead, setUpCode: code } : lead);
  if (answer.status !== 201) throw new Error(`Not set up: ${answer.body}`);
  client.cookie = (answer.headers['set-cookie'] ?? []).map((each) => each.split(';')[0]).join('; ');
  return client;
}

/** The fleet file of machines `from` to `to`. */
export function fleetFile(from, to, today) {
  const day = civilDate(today);
  const year = Number(today.slice(0, 4));
  const years = [{ year, firstDay: `${year}-01-01`, lastDay: `${year}-12-31` }];
  return {
    format: 'yugator-fleet',
    version: 1,
    site: { timeZone: 'Europe/London', hoursGrid: 'sinceDone' },
    seasons: [{ name: 'Mowing', years }],
    books: [book()],
    machines: Array.from({ length: to - from }, (_, index) => machine(from + index, day)),
  };
}

/** Fills an empty Yugator of `root` through its own doors and hands a client to `work`; it is stopped and thrown away after. */
export async function withFleet(root, port, work) {
  const data = mkdtempSync(join(tmpdir(), 'yugator-fleet-'));
  const { child, code } = await start(root, data, port);
  const loop = loopOf(data);
  try {
    const client = await signedIn(port, code);
    const { today } = await client.want('GET', '/session');
    for (let from = 0; from < MACHINES; from += 100) {
      await client.want('POST', '/fleet/import', {
        file: fleetFile(from, from + 100, today),
        isTrial: false,
      });
    }
    return await work(client, today, loop);
  } finally {
    loop.stop();
    await stopYugator(child);
    rmSync(data, { recursive: true, force: true });
  }
}
