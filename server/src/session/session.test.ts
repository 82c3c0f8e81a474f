import type { PersonDto, ProblemDto, SessionDto } from '@yugator/contracts';
import { PASSWORD } from '../testing/seedCrew.js';
import { NOON, testApp } from '../testing/testApp.js';
import type { TestApp } from '../testing/testApp.js';
import type { Instant } from '@yugator/core';
import { hashPassword, passwordMatches } from './password.js';

let yard: TestApp;
beforeEach(async () => {
  yard = await testApp();
});
afterEach(() => yard.close());

const nobody = { as: undefined as never };
const signIn = (name: string, password: string) =>
  yard.ask<SessionDto & ProblemDto>('POST', '/api/session', { ...nobody, body: { name, password } });

describe('signing in', () => {
  it('sets a cookie out of reach of scripts and other sites, and tells who and where', async () => {
    const { status, body, headers } = await signIn('mechanic', PASSWORD);
    expect(status).toBe(201);
    expect(body).toMatchObject({
      person: { role: 'mechanic' },
      site: { name: 'Test yard' },
      today: '2027-05-13',
    });
    expect(JSON.stringify(body)).not.toContain('assword');
    expect(String(headers['set-cookie'])).toMatch(/yugator_session=.{43};.*HttpOnly; SameSite=Strict/);
  });

  it('says the same of a wrong name and a wrong password', async () => {
    const [wrongName, wrongPassword] = [await signIn('nobody', PASSWORD), await signIn('mechanic', 'wrong')];
    expect([wrongName.status, wrongPassword.status]).toEqual([401, 401]);
    expect(wrongName.body.detail).toBe(wrongPassword.body.detail);
  });

  it('is throttled by name, without locking out the others', async () => {
    for (let attempt = 0; attempt < 10; attempt += 1) await signIn('mechanic', 'wrong');
    const late = await signIn('Mechanic ', PASSWORD);
    expect([late.status, late.body.title]).toEqual([429, 'Too many attempts']);
    expect((await signIn('operator', PASSWORD)).status).toBe(201);
  });

  it('ends on signing out and after thirty days', async () => {
    expect((await yard.ask('DELETE', '/api/session', { as: 'viewer' })).status).toBe(204);
    expect((await yard.ask('GET', '/api/session', { as: 'viewer' })).status).toBe(401);
    yard.clock.set((NOON + 29 * 86_400_000) as Instant);
    expect((await yard.ask('GET', '/api/session')).status).toBe(200);
    yard.clock.set((NOON + 31 * 86_400_000) as Instant);
    expect((await yard.ask('GET', '/api/session')).status).toBe(401);
  });
});

describe('a password', () => {
  it('is kept as an argon2id hash only', async () => {
    const hash = await hashPassword('a long enough one');
    expect(hash).toMatch(/^\$argon2id\$v=19\$m=19456,t=2,p=1\$/);
    expect(await passwordMatches('a long enough one', hash)).toBe(true);
    expect(await passwordMatches('a long enough two', hash)).toBe(false);
    expect(await passwordMatches('nobody has this password', null)).toBe(false);
  });
});

describe('the crew', () => {
  const update = (id: string, body: object) =>
    yard.ask<PersonDto & ProblemDto>('PUT', `/api/people/${id}`, { body });

  it('loses the sessions of somebody who leaves, at once', async () => {
    await update(yard.crew.people.mechanic, { role: 'mechanic', active: false, version: 1 });
    expect((await yard.ask('GET', '/api/today', { as: 'mechanic' })).status).toBe(401);
    expect((await signIn('mechanic', PASSWORD)).status).toBe(401);
  });

  it('keeps at least one crew lead', async () => {
    const answer = await update(yard.crew.people.crewLead, { role: 'viewer', active: true, version: 1 });
    expect(answer.body.errors?.[0]).toMatchObject({ pointer: '#/role', code: 'lastCrewLead' });
  });

  it('refuses a stale change with the present state, and a name that is taken', async () => {
    await update(yard.crew.people.viewer, { role: 'operator', active: true, version: 1 });
    const stale = await update(yard.crew.people.viewer, { role: 'mechanic', active: true, version: 1 });
    expect([stale.status, stale.body.current]).toEqual([
      409,
      expect.objectContaining({ role: 'operator', version: 2 }),
    ]);
    const taken = await yard.ask<ProblemDto>('POST', '/api/people', {
      body: { name: 'viewer', role: 'viewer', password: PASSWORD },
    });
    expect(taken.body.errors?.[0]).toMatchObject({ pointer: '#/name', code: 'taken' });
  });
});

describe('the first visitor', () => {
  it('is turned away where there is a crew lead already', async () => {
    const body = { siteName: 'Mine now', timeZone: 'Europe/London', name: 'Intruder', password: PASSWORD };
    expect((await yard.ask('POST', '/api/first-crew-lead', { ...nobody, body })).status).toBe(409);
  });
});
