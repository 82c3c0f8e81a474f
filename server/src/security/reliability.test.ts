import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import type { ProblemDto } from '@yugator/contracts';
import { SystemClock } from '../clock/clock.js';
import { createApp } from '../createApp.js';
import { connect } from '../database/connect.js';
import { startLocalMariaDb } from '../launch/mariadb/localMariaDb.js';
import type { LocalMariaDb } from '../launch/mariadb/localMariaDb.js';
import { FolderStorage } from '../storage/storage.js';
import { seedCrew } from '../testing/seedCrew.js';
import type { Crew } from '../testing/seedCrew.js';
import { makeSchema } from '../testing/testDatabase.js';

jest.setTimeout(120_000);

type App = Awaited<ReturnType<typeof createApp>>;

let folder: string;
let database: LocalMariaDb;
let sequelize: ReturnType<typeof connect>;
let app: App;
let crew: Crew;
let isFull = false;
beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'yugator-reliable-'));
  database = await startLocalMariaDb(join(folder, 'mariadb'));
  sequelize = connect(database.url);
  await makeSchema(sequelize);
  const clock = new SystemClock();
  crew = await seedCrew(clock);
  const storage = { isNearlyFull: () => Promise.resolve(isFull) };
  app = await createApp({ sequelize, databaseUrl: database.url, clock, storage });
});
afterAll(async () => {
  await app.close();
  await sequelize.close();
  await database.stop();
  rmSync(folder, { recursive: true, force: true });
});

const pid = () => Number(readFileSync(join(folder, 'mariadb', 'db.pid'), 'utf8'));

async function ask(method: 'GET' | 'PUT' | 'DELETE', url: string, body?: object) {
  const began = performance.now();
  const { statusCode, headers, payload } = await app.inject({
    method,
    url,
    headers: {
      cookie: `yugator_session=${crew.tokens.crewLead}`,
      ...(body ? { 'content-type': 'application/json' } : {}),
    },
    ...(body ? { payload: JSON.stringify(body) } : {}),
  });
  return { status: statusCode, headers, payload, took: performance.now() - began };
}

/** Asks until the answer is 200 again; what comes before must be "try again in a moment". */
async function untilBack(): Promise<void> {
  for (let time = 0; time < 100; time += 1) {
    const { status, headers } = await ask('GET', '/api/today');
    if (status === 200) return;
    expect([status, headers['content-type']]).toEqual([503, expect.stringContaining('problem+json')]);
    expect(Number(headers['retry-after'])).toBeGreaterThan(0);
    await wait(200);
  }
  throw new Error('It did not recover.');
}

describe('a database that is silent', () => {
  it('lets health say so within two seconds, every request within ten, and everything go on afterwards', async () => {
    expect((await ask('GET', '/api/today')).status).toBe(200);
    process.kill(pid(), 'SIGSTOP');
    try {
      const [health, ...others] = await Promise.all([
        ask('GET', '/api/health'),
        ...Array.from({ length: 12 }, () => ask('GET', '/api/today')),
      ]);
      expect([health?.status, (health?.took ?? Infinity) < 3_000]).toEqual([503, true]);
      for (const { status, took, payload } of others) {
        expect([status, took < 11_500]).toEqual([503, true]);
        expect((JSON.parse(payload) as ProblemDto).detail).toMatch(/[Tt]ry again/);
      }
    } finally {
      process.kill(pid(), 'SIGCONT');
    }
    await untilBack();
  });
});

describe('a database that ends', () => {
  it('is answered for with "try again" until it is back, and never with an error', async () => {
    process.kill(pid(), 'SIGKILL');
    await untilBack();
    const burst = await Promise.all(Array.from({ length: 40 }, () => ask('GET', '/api/books')));
    expect(burst.map(({ status }) => status).filter((status) => status !== 200)).toEqual([]);
  });
});

describe('a disk that is nearly full', () => {
  it('refuses what the crew writes, lets everything be read, and takes writes again by itself', async () => {
    const units = { unitSystem: 'us' };
    expect((await ask('PUT', '/api/session/units', units)).status).toBe(200);
    isFull = true;
    const refused = await ask('PUT', '/api/session/units', units);
    expect([refused.status, refused.payload]).toEqual([507, expect.stringContaining('Nothing was saved')]);
    expect((await ask('GET', '/api/today')).status).toBe(200);
    isFull = false;
    expect((await ask('PUT', '/api/session/units', units)).status).toBe(200);
  });

  it('is known by what is left of it, looked at once a second at most', async () => {
    let now = 0;
    const roomy = new FolderStorage(folder, 1, () => now);
    const tight = new FolderStorage(folder, Number.MAX_SAFE_INTEGER, () => now);
    expect([await roomy.isNearlyFull(), await tight.isNearlyFull()]).toEqual([false, true]);
    const gone = new FolderStorage('/no/such/folder', 1, () => now);
    await expect(gone.isNearlyFull()).rejects.toThrow(/ENOENT/);
    now += 500;
    expect(await gone.isNearlyFull()).toBe(false);
  });
});
