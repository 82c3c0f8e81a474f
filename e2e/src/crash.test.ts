import { Yugator } from './yugator.js';

interface Job {
  readonly id: string;
  readonly state: string;
  readonly version: number;
  readonly items: readonly { itemId: string; version: number }[];
  readonly proposed: readonly { articleId: string; quantity: number }[];
}
interface Machine {
  readonly id: string;
  readonly tag: string;
  readonly lastShown: number;
  readonly lines: readonly { itemId: string; itemName: string }[];
}

let yugator: Yugator;
let cookie = '';
beforeAll(async () => {
  yugator = await Yugator.on();
  await yugator.start();
  cookie = await signIn();
});
afterAll(() => yugator.remove());

async function signIn(): Promise<string> {
  const answer = await fetch(`${yugator.address}/api/session`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ name: 'Ansel Pike', password: 'larkmere-shed' }),
  });
  return answer.headers.get('set-cookie')?.split(';')[0] ?? '';
}

async function ask<T>(method: string, path: string, body?: unknown, key?: string): Promise<T> {
  const answer = await fetch(`${yugator.address}/api${path}`, {
    method,
    headers: {
      cookie,
      ...(body ? { 'content-type': 'application/json' } : {}),
      ...(key ? { 'idempotency-key': key } : {}),
    },
    ...(body ? { body: JSON.stringify(body) } : {}),
  });
  if (!answer.ok) throw new Error(`${method} ${path}: ${answer.status} ${await answer.text()}`);
  return (await answer.json()) as T;
}

const signOffKey = (job: Job) => `sign-off-${job.id}`;

async function readyJob(machine: Machine): Promise<{ job: Job; body: object }> {
  const opened = await ask<Job>('POST', '/jobs', {
    machineId: machine.id,
    itemIds: machine.lines.map((line) => line.itemId),
  });
  let job = opened;
  for (const { itemId, version } of opened.items) {
    job = await ask<Job>('PUT', `/jobs/${opened.id}/items/${itemId}`, { ticked: true, version });
  }
  const people = await ask<{ id: string }[]>('GET', '/people');
  const { today } = await ask<{ today: string }>('GET', '/session');
  const draws = job.proposed.map(({ articleId, quantity }) => ({ articleId, quantity }));
  const body = {
    doneOn: today,
    shown: machine.lastShown,
    doneById: people[0]?.id,
    minutes: 10,
    draws,
    version: job.version,
  };
  return { job, body };
}

describe('a power cut in the middle of a stream of sign-offs', () => {
  it('leaves each acknowledged one there once, and none half there', async () => {
    const machines = await ask<Machine[]>('GET', '/machines');
    const before = await ask<{ id: string; onHand: number }[]>('GET', '/articles');
    const jobs = [];
    for (const machine of machines) jobs.push({ machine, ...(await readyJob(machine)) });

    const acknowledged = new Set<string>();
    const stream = jobs.map(async ({ job, body }, index) => {
      await new Promise((turn) => setTimeout(turn, index * 15));
      await ask('POST', `/jobs/${job.id}/sign-off`, body, signOffKey(job));
      acknowledged.add(job.id);
      // Pull the plug while others are under way.
      if (acknowledged.size === 8) await yugator.kill();
    });
    const results = await Promise.allSettled(stream);
    expect(acknowledged.size).toBeGreaterThanOrEqual(8);
    expect(results.some(({ status }) => status === 'rejected')).toBe(true);

    await yugator.start();
    const lost: string[] = [];
    const drawn = new Map<string, number>();
    for (const { job, machine } of jobs) {
      const now = await ask<Job>('GET', `/jobs/${job.id}`);
      const { records } = await ask<{ records: { jobId: string }[] }>(
        'GET',
        `/records?machineId=${machine.id}`,
      );
      const readings = await ask<{ source: string }[]>('GET', `/machines/${machine.id}/readings`);
      const isSigned = now.state === 'signedOff';
      // Whole or not at all: the record, its reading and its state go together.
      expect(records.filter(({ jobId }) => jobId === job.id)).toHaveLength(isSigned ? 1 : 0);
      expect(readings.filter(({ source }) => source === 'job')).toHaveLength(isSigned ? 1 : 0);
      if (acknowledged.has(job.id) && !isSigned) lost.push(machine.tag);
      if (isSigned) {
        for (const { articleId, quantity } of job.proposed)
          drawn.set(articleId, (drawn.get(articleId) ?? 0) + quantity);
      }
    }
    expect(lost).toEqual([]);
    const after = new Map(
      (await ask<{ id: string; onHand: number }[]>('GET', '/articles')).map(({ id, onHand }) => [id, onHand]),
    );
    for (const { id, onHand } of before) expect(after.get(id)).toBeCloseTo(onHand - (drawn.get(id) ?? 0), 3);

    // The phones repeat what they got no answer to, under the same keys: each ends signed off once.
    for (const { job, body } of jobs) {
      const repeated = await ask<Job>('POST', `/jobs/${job.id}/sign-off`, body, signOffKey(job));
      expect(repeated.state).toBe('signedOff');
    }
    const { total } = await ask<{ total: number }>('GET', `/records?machineId=${machines[0]?.id}`);
    expect(total).toBeGreaterThan(0);
    for (const { job, machine } of jobs) {
      const { records } = await ask<{ records: { jobId: string }[] }>(
        'GET',
        `/records?machineId=${machine.id}`,
      );
      expect(records.filter(({ jobId }) => jobId === job.id)).toHaveLength(1);
    }
  });
});
