import type { ProblemDto } from '@yugator/contracts';
import { SetClock } from '../clock/clock.js';
import { KnownHosts } from '../gate/knownHosts.js';
import { createApp } from '../createApp.js';
import { PASSWORD, seedCrew } from '../testing/seedCrew.js';
import { NOON } from '../testing/testApp.js';
import { makeSchema, testDatabase } from '../testing/testDatabase.js';

type App = Awaited<ReturnType<typeof createApp>>;

let app: App;
let database: Awaited<ReturnType<typeof testDatabase>>;
afterEach(async () => {
  await app.close();
  await database.drop();
});

async function start(trustedProxies: readonly string[]): Promise<void> {
  database = await testDatabase();
  await makeSchema(database.sequelize);
  const clock = new SetClock(NOON);
  await seedCrew(clock);
  const { sequelize, url } = database;
  app = await createApp({
    sequelize,
    databaseUrl: url,
    clock,
    hosts: new KnownHosts(['yard.example']),
    trustedProxies,
  });
}

async function signIn(password: string, forwarded: Record<string, string>, name = 'nobody') {
  const { statusCode, headers, payload } = await app.inject({
    method: 'POST',
    url: '/api/session',
    headers: { 'content-type': 'application/json', host: 'yard.example', ...forwarded },
    payload: JSON.stringify({ name, password }),
  });
  return { status: statusCode, headers, payload };
}

/** Twenty names from each of two addresses, as a proxy tells them. */
async function fromTwoAddresses(): Promise<number> {
  for (let index = 0; index < 20; index += 1)
    await signIn('wrong', { 'x-forwarded-for': '203.0.113.7' }, `a ${index}`);
  return (await signIn('wrong', { 'x-forwarded-for': '203.0.113.8' }, 'b')).status;
}

describe('behind a proxy that is trusted', () => {
  it('every client counts by its own address', async () => {
    await start(['127.0.0.1']);
    expect(await fromTwoAddresses()).toBe(401);
    expect((await signIn('wrong', { 'x-forwarded-for': '203.0.113.7' }, 'c')).status).toBe(429);
  });

  it('the host and the page that the proxy tells count, and no other page', async () => {
    await start(['127.0.0.1']);
    const told = { host: '127.0.0.1:8420', 'x-forwarded-host': 'yard.example' };
    expect((await signIn('wrong', { ...told, origin: 'https://yard.example' })).status).toBe(401);
    expect((await signIn('wrong', { ...told, origin: 'https://evil.example' })).status).toBe(403);
    expect((await signIn('wrong', { ...told, 'x-forwarded-host': 'evil.example' })).status).toBe(421);
  });

  it('cookies are held to this host and to TLS, where the proxy ends it', async () => {
    await start(['127.0.0.1']);
    const { headers } = await signIn(PASSWORD, { 'x-forwarded-proto': 'https' }, 'mechanic');
    const cookies = [headers['set-cookie']].flat().map(String);
    expect(cookies).toHaveLength(2);
    for (const cookie of cookies)
      expect(cookie).toMatch(/^__Host-yugator_.*; Path=\/; HttpOnly; Secure; SameSite=Strict$/);
    const asked = await app.inject({
      method: 'GET',
      url: '/api/session',
      headers: { cookie: cookies.map((each) => each.split(';')[0]).join('; '), 'x-forwarded-proto': 'https' },
    });
    expect(asked.statusCode).toBe(200);
  });
});

describe('without a proxy that is trusted', () => {
  it('nobody is believed another address, nor TLS', async () => {
    await start([]);
    expect(await fromTwoAddresses()).toBe(429);
    const { payload } = await signIn('wrong', { 'x-forwarded-for': '203.0.113.9' }, 'd');
    expect((JSON.parse(payload) as ProblemDto).title).toBe('Too many attempts');
  });
});
