import type { ProblemDto, SessionDto, WelcomeDto } from '@yugator/contracts';
import { SetClock } from '../clock/clock.js';
import { createApp } from '../createApp.js';
import { newSetUpCode } from '../session/setUpCode.js';
import { NOON } from '../testing/testApp.js';
import { makeSchema, testDatabase } from '../testing/testDatabase.js';

type App = Awaited<ReturnType<typeof createApp>>;

let app: App;
let database: Awaited<ReturnType<typeof testDatabase>>;
beforeEach(async () => {
  database = await testDatabase();
  await makeSchema(database.sequelize);
});
afterEach(async () => {
  await app.close();
  await database.drop();
});

async function start(setUpCode?: string): Promise<void> {
  const { sequelize, url } = database;
  app = await createApp({
    sequelize,
    databaseUrl: url,
    clock: new SetClock(NOON),
    ...(setUpCode === undefined ? {} : { setUpCode }),
  });
}

const FIELDS = {
  siteName: 'Hillside',
  timeZone: 'Europe/London',
  name: 'Tamsin Vale',
  password: 'a short sentence',
};

async function claim(setUpCode: string, over: object = {}) {
  const response = await app.inject({
    method: 'POST',
    url: '/api/first-crew-lead',
    headers: { 'content-type': 'application/json' },
    payload: JSON.stringify({ ...FIELDS, setUpCode, ...over }),
  });
  return { status: response.statusCode, body: response.json<ProblemDto>() };
}

describe('a Yugator that is not set up yet', () => {
  it('is claimed by whoever has the code, however it is typed, and by nobody after', async () => {
    await start('7KM2-QX9D');
    const wrong = await claim('7KM2-QX9E');
    expect([wrong.status, wrong.body.errors?.[0]?.pointer]).toEqual([422, '#/setUpCode']);
    expect((await claim(' 7km2 qx9d ')).status).toBe(201);
    expect((await claim('7KM2-QX9D')).status).toBe(409);
    const welcome = (await app.inject({ method: 'GET', url: '/api/welcome' })).json<WelcomeDto>();
    expect(welcome).toEqual({ needsCrewLead: false, demonstration: false });
  });

  it.each([
    ['America/Denver', 'monthFirst'],
    ['Europe/London', 'dayFirst'],
  ])('has days typed as is usual where it lies, in %s %s', async (timeZone, dateOrder) => {
    await start('7KM2-QX9D');
    const response = await app.inject({
      method: 'POST',
      url: '/api/first-crew-lead',
      headers: { 'content-type': 'application/json' },
      payload: JSON.stringify({ ...FIELDS, timeZone, setUpCode: '7KM2-QX9D' }),
    });
    expect(response.json<SessionDto>().site).toMatchObject({ timeZone, dateOrder });
  });

  it('is not claimed by guessing the code', async () => {
    await start('7KM2-QX9D');
    for (let time = 0; time < 5; time += 1) expect((await claim(newSetUpCode())).status).toBe(422);
    expect((await claim('7KM2-QX9D')).status).toBe(429);
  });

  it('is claimed by nobody where no code was made', async () => {
    await start();
    expect((await claim('ANY-CODE')).status).toBe(422);
  });

  it('asks for a password that is not guessed at once', async () => {
    await start('7KM2-QX9D');
    const { status, body } = await claim('7KM2-QX9D', { password: 'password1234' });
    expect([status, body.errors?.[0]?.pointer]).toEqual([422, '#/password']);
  });
});

describe('a set-up code', () => {
  it('is of signs that nobody takes for each other, and differs every time', () => {
    const codes = Array.from({ length: 200 }, newSetUpCode);
    for (const code of codes) expect(code).toMatch(/^[A-HJ-NP-Z2-9]{4}-[A-HJ-NP-Z2-9]{4}$/);
    expect(new Set(codes).size).toBe(200);
  });
});
