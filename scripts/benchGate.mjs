// Measures that no single request holds the others up, and how many ordinary ones are answered in a second.
import { spawn } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import { fleetFile } from './benchFleet.mjs';

/** No request may hold the server's loop for longer. What the others wait is more: the two processors are busy with the asking, too. */
const LONGEST_HOLD_MS = 50;
const ORDINARY = ['/session', '/books', '/people', '/articles', '/seasons', '/site', '/used-oil'];
const REQUESTS = 3_000;
const AT_ONCE = 8;

/** Asks for nothing, over and over, from a process of its own, and tells the longest that an answer took. */
function pinger(port) {
  const child = spawn(process.execPath, [fileURLToPath(new URL('ping.mjs', import.meta.url)), port], {
    stdio: ['pipe', 'pipe', 'inherit'],
  });
  const lines = [];
  const waiting = [];
  child.stdout.on('data', (chunk) => {
    for (const line of String(chunk).trim().split('\n'))
      (waiting.shift() ?? ((each) => lines.push(each)))(line);
  });
  const next = () =>
    lines.length ? Promise.resolve(lines.shift()) : new Promise((resolve) => waiting.push(resolve));
  return {
    /** milliseconds of the slowest answer since the last call */
    async slowest() {
      child.stdin.write('\n');
      return Number(await next());
    },
    stop: () => child.kill(),
  };
}

function hostile(today, machineIds) {
  const many = (length, of) => Array.from({ length }, of);
  return [
    [
      '24 MB of numbers to the sign-in',
      'POST',
      '/session',
      `{"name":[${many(3_000_000, (_, i) => i)}],"password":"x"}`,
    ],
    [
      '60 kB of numbers to the sign-in',
      'POST',
      '/session',
      `{"name":[${many(12_000, (_, i) => i)}],"password":"x"}`,
    ],
    [
      '2,000 readings that are none',
      'POST',
      '/round',
      { readings: many(2_000, () => ({ machineId: 'X', shown: 'y' })) },
    ],
    [
      '2,000 readings of machines that are not there',
      'POST',
      '/round',
      {
        readings: many(2_000, (_, i) => ({
          machineId: `00000000-0000-7000-8000-${String(i).padStart(12, '0')}`,
          shown: 1,
        })),
      },
    ],
    [
      '100,000 items for a job',
      'POST',
      '/jobs',
      { machineId: machineIds[0], itemIds: many(100_000, (_, i) => String(i)) },
    ],
    [
      'half a megabyte of book lines',
      'PUT',
      `/books/${machineIds[0]}`,
      {
        name: 'x',
        machineClass: 'zeroTurn',
        meter: 'engine',
        version: 1,
        items: many(2_000, () => ({ name: 'x'.repeat(200) })),
      },
    ],
    [
      'a photo of 3 MB that is none',
      'PUT',
      `/machines/${machineIds[0]}/photo`,
      { jpeg: 'A'.repeat(3_900_000) },
    ],
    [
      'a fleet file of 11 MB',
      'POST',
      '/fleet/import',
      { file: fleetFile(2_000, 2_500, today), isTrial: true },
    ],
    ['the fleet as a file', 'GET', '/fleet/file'],
    ['all machines', 'GET', '/machines'],
    ['the schedule of the fleet', 'GET', '/schedule'],
    ['the round', 'GET', '/round'],
    ['Today', 'GET', '/today'],
    ['the page of a machine', 'GET', `/machines/${machineIds[0]}`],
    ['the OpenAPI document', 'GET', '/openapi.json'],
  ];
}

/** Prints how long each request that is large or hostile holds the loop, and others up; returns whether all stay within the limit. */
export async function benchStandstill(client, today, loop) {
  const machines = await client.want('GET', '/machines');
  const ids = machines.map(({ id }) => id);
  const ping = pinger(client.port);
  let isWithin = true;
  const row = async (what, work) => {
    await ping.slowest();
    await loop.longest();
    const began = performance.now();
    const status = await work();
    const took = performance.now() - began;
    const held = await loop.longest();
    const slowest = await ping.slowest();
    if (held > LONGEST_HOLD_MS) isWithin = false;
    console.log(
      `  loop held ${held.toFixed(0).padStart(3)} ms (at most ${LONGEST_HOLD_MS}), others wait ${slowest.toFixed(0).padStart(3)} ms during ${what} (${status}, ${took.toFixed(0)} ms)`,
    );
  };
  const ask = (method, path, body) =>
    client.ask(method, path, body, { 'accept-encoding': 'br' }).then(
      ({ status }) => status,
      () => 'cut off',
    );
  await row('nothing in particular', () => new Promise((resolve) => setTimeout(resolve, 1_000, '–')));
  for (const [what, method, path, body] of hostile(today, ids))
    await row(what, () => ask(method, path, body));
  const crowd = (count, one) =>
    Promise.all(Array.from({ length: count }, one)).then(
      (all) => `${count} answers, ${new Set(all).size} kinds`,
    );
  await row('30 service records as PDF', () => crowd(30, () => ask('GET', `/machines/${ids[0]}/record.pdf`)));
  await row('120 sign-ins at once', () =>
    crowd(120, (_, i) => ask('POST', '/session', { name: `nobody ${i}`, password: 'x' })),
  );
  ping.stop();
  return isWithin;
}

/** Ordinary requests answered in a second. */
export async function throughput(client) {
  const one = async (count) => {
    for (let index = 0; index < count; index += 1)
      await client.want('GET', ORDINARY[index % ORDINARY.length]);
  };
  await one(200);
  const began = performance.now();
  await Promise.all(Array.from({ length: AT_ONCE }, () => one(REQUESTS / AT_ONCE)));
  return (1000 * REQUESTS) / (performance.now() - began);
}
