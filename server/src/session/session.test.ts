import type { AuditPageDto, OpenSessionDto, PersonDto, ProblemDto, SessionDto } from '@yugator/contracts';
import type { Instant } from '@yugator/core';
import { PASSWORD } from '../testing/seedCrew.js';
import { NOON, SET_UP_CODE, yardOfFile } from '../testing/testApp.js';
import { hashPassword, passwordMatches } from './password.js';

const yard = yardOfFile();

const DAY_MS = 86_400_000;
const nobody = { as: undefined as never };
const at = (days: number) => yard.clock.set((NOON + days * DAY_MS) as Instant);
const signIn = (name: string, password: string, more: object = {}, cookie?: string) =>
  yard.ask<SessionDto & Omit<ProblemDto, 'status'>>('POST', '/api/session', {
    ...nobody,
    ...(cookie ? { cookie } : {}),
    body: { name, password, ...more },
  });

/** `name=value` of a cookie that an answer sets. */
function cookieOf(headers: Record<string, unknown>, name: string): string {
  const cookies = [headers['set-cookie']].flat().map(String);
  return cookies.find((cookie) => cookie.startsWith(name))?.split(';')[0] ?? '';
}

describe('signing in', () => {
  it('sets a cookie out of reach of scripts and other sites, and tells who and where', async () => {
    const { status, body, headers } = await signIn('mechanic', PASSWORD);
    expect(status).toBe(201);
    expect(body).toMatchObject({
      person: { role: 'mechanic' },
      site: { name: 'Test yard', demonstration: false },
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

  it('ends on signing out', async () => {
    expect((await yard.ask('DELETE', '/api/session', { as: 'viewer' })).status).toBe(204);
    expect((await yard.ask('GET', '/api/session', { as: 'viewer' })).status).toBe(401);
  });

  it('ends after fourteen days without use, and goes on while it is used', async () => {
    at(13);
    expect((await yard.ask('GET', '/api/session', { as: 'operator' })).status).toBe(200);
    at(15);
    expect((await yard.ask('GET', '/api/session', { as: 'viewer' })).status).toBe(401);
    expect((await yard.ask('GET', '/api/session', { as: 'operator' })).status).toBe(200);
    at(29.1);
    expect((await yard.ask('GET', '/api/session', { as: 'operator' })).status).toBe(401);
  });

  it('holds for 180 days on a device of one’s own', async () => {
    const { headers } = await signIn('mechanic', PASSWORD, { isOwnDevice: true });
    const cookie = cookieOf(headers, 'yugator_session');
    at(179);
    expect((await yard.ask('GET', '/api/session', { ...nobody, cookie })).status).toBe(200);
    at(179 + 181);
    expect((await yard.ask('GET', '/api/session', { ...nobody, cookie })).status).toBe(401);
  });
});

describe('one’s own sessions', () => {
  it('are listed, and ended from another device', async () => {
    const phone = cookieOf((await signIn('mechanic', PASSWORD)).headers, 'yugator_session');
    const list = await yard.ask<OpenSessionDto[]>('GET', '/api/session/all', { as: 'mechanic' });
    expect(list.body.map(({ isThis }) => isThis).sort()).toEqual([false, true]);
    const other = list.body.find(({ isThis }) => !isThis)?.id ?? '';
    expect((await yard.ask('DELETE', `/api/session/all/${other}`, { as: 'viewer' })).status).toBe(404);
    expect((await yard.ask('DELETE', `/api/session/all/${other}`, { as: 'mechanic' })).status).toBe(204);
    expect((await yard.ask('GET', '/api/session', { ...nobody, cookie: phone })).status).toBe(401);
    expect((await yard.ask('GET', '/api/session', { as: 'mechanic' })).status).toBe(200);
  });

  it('end everywhere else with a new password, which the present one is needed for', async () => {
    const phone = cookieOf((await signIn('mechanic', PASSWORD)).headers, 'yugator_session');
    const change = (present: string, password: string) =>
      yard.ask<ProblemDto>('PUT', '/api/session/password', { as: 'mechanic', body: { present, password } });
    const wrong = await change('not the one', 'oil pan under the bench');
    expect([wrong.status, wrong.body.errors?.[0]?.pointer]).toEqual([422, '#/present']);
    expect((await change(PASSWORD, 'oil pan under the bench')).status).toBe(204);
    expect((await yard.ask('GET', '/api/session', { ...nobody, cookie: phone })).status).toBe(401);
    expect((await yard.ask('GET', '/api/session', { as: 'mechanic' })).status).toBe(200);
    expect((await signIn('mechanic', 'oil pan under the bench')).status).toBe(201);
    expect((await signIn('mechanic', PASSWORD)).status).toBe(401);
  });
});

describe('a password', () => {
  it('is kept as an argon2id hash only', async () => {
    const hash = await hashPassword('a long enough one');
    expect(hash).toMatch(/^\$argon2id\$v=19\$m=19456,t=2,p=1\$/);
    expect(await passwordMatches('a long enough one', hash)).toBe(true);
    expect(await passwordMatches('a long enough two', hash)).toBe(false);
  });

  it('is the same from every keyboard', async () => {
    const add = { name: 'Ines Vale', role: 'viewer', password: 'ｆｕｌｌ ｗｉｄｔｈ ｆｉｌｔｅｒ' };
    expect((await yard.ask('POST', '/api/people', { body: add })).status).toBe(201);
    expect((await signIn('Ines Vale', 'full width filter')).status).toBe(201);
  });

  it.each([
    ['short', 'eleven char', 'isPassword'],
    ['common', 'password1234', 'common'],
    ['common', 'qwertyuiop12', 'common'],
    ['the name', 'Bramwell Oake', 'name'],
    ['the name with figures', 'BramwellOake2027', 'name'],
    ['one character over and over', 'aaaaaaaaaaaaaa', 'repeated'],
  ])('that is %s is refused: %s', async (_what, password, code) => {
    const { status, body } = await yard.ask<ProblemDto>('POST', '/api/people', {
      body: { name: 'Bramwell Oake', role: 'viewer', password },
    });
    expect([status, body.errors?.[0]]).toEqual([
      422,
      expect.objectContaining({ pointer: '#/password', code }),
    ]);
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
    const body = { name: 'viewer', role: 'viewer', password: PASSWORD };
    const taken = await yard.ask<ProblemDto>('POST', '/api/people', { body });
    expect(taken.body.errors?.[0]).toMatchObject({ pointer: '#/name', code: 'taken' });
  });

  it('gets two of one name added at once only one of them, and no error', async () => {
    const body = { name: 'Twin', role: 'viewer', password: PASSWORD };
    const add = () => yard.ask<ProblemDto>('POST', '/api/people', { body });
    const answers = await Promise.all([add(), add(), add(), add()]);
    expect(answers.map(({ status }) => status).sort()).toEqual([201, 422, 422, 422]);
    for (const answer of answers.filter(({ status }) => status === 422))
      expect(answer.body.errors?.[0]).toMatchObject({ pointer: '#/name', code: 'taken' });
  });
});

describe('the audit list', () => {
  const list = async (query = '') =>
    (await yard.ask<AuditPageDto>('GET', `/api/audit${query}`)).body.entries.map(
      ({ act, by, subject }) => `${act}: ${by}: ${subject}`,
    );

  it('tells who did what, from where, and nothing secret', async () => {
    await signIn('mechanic', 'not the password');
    await signIn('no such name, perhaps a password', 'x');
    await yard.ask('PUT', '/api/site', { as: 'viewer', body: {} });
    await yard.ask('PUT', `/api/people/${yard.crew.people.viewer}`, {
      body: { role: 'operator', active: true, password: 'oil pan under the bench', version: 1 },
    });
    expect((await list()).reverse()).toEqual([
      'signInRefused: : mechanic',
      'signInRefused: : an unknown name',
      'roleRefused: viewer: PUT /api/site',
      'roleChanged: crewLead: viewer: viewer to operator',
      'passwordChanged: crewLead: viewer',
    ]);
    const all = JSON.stringify((await yard.ask('GET', '/api/audit')).body);
    expect(all).not.toMatch(/not the password|perhaps|oil pan|argon2/);
    expect(all).toContain('"address":"127.0.0.1"');
  });

  it('is filtered by act, person and day, and is for the crew lead', async () => {
    await signIn('mechanic', PASSWORD);
    at(2);
    await signIn('viewer', PASSWORD);
    expect(await list('?act=signedIn')).toHaveLength(2);
    expect(await list(`?personId=${yard.crew.people.mechanic}`)).toEqual(['signedIn: mechanic: A program']);
    expect(await list('?from=2027-05-14')).toEqual(['signedIn: viewer: A program']);
    expect(await list('?to=2027-05-14')).toEqual(['signedIn: mechanic: A program']);
    expect((await yard.ask('GET', '/api/audit', { as: 'mechanic' })).status).toBe(403);
  });

  it('is not filled by one refusal over and over', async () => {
    for (let time = 0; time < 5; time += 1) await yard.ask('PUT', '/api/site', { as: 'viewer', body: {} });
    expect(await list()).toHaveLength(1);
  });
});

describe('the first visitor', () => {
  it('is turned away where there is a crew lead already', async () => {
    const body = {
      siteName: 'Mine now',
      timeZone: 'Europe/London',
      name: 'Intruder',
      password: PASSWORD,
      setUpCode: SET_UP_CODE,
    };
    expect((await yard.ask('POST', '/api/first-crew-lead', { ...nobody, body })).status).toBe(409);
  });
});
