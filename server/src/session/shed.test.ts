import { instantOf } from '@yugator/core';
import type {
  AuditPageDto,
  ProblemDto,
  SessionDto,
  ShedCodeDto,
  ShedDeviceDto,
  ShedDoorDto,
} from '@yugator/contracts';
import { Person } from '../models/person.model.js';
import { PASSWORD } from '../testing/seedCrew.js';
import { yardOfFile } from '../testing/testApp.js';
import type { Yard } from '../testing/testApp.js';
import { isCommonCode } from './shedCodes.js';

const yard = yardOfFile();

type Asking = NonNullable<Parameters<Yard['ask']>[2]>;
const nobody = { as: undefined as never };
const MINUTE = 60_000;
const later = (minutes: number) => yard.clock.set(instantOf(yard.clock.now() + minutes * MINUTE));

function cookieOf(headers: Record<string, unknown>, name: string): string {
  const cookies = [headers['set-cookie']].flat().map(String);
  return cookies.find((cookie) => cookie.startsWith(name))?.split(';')[0] ?? '';
}

const chooseCode = (as: 'operator' | 'mechanic' | 'viewer', code: string, present = PASSWORD) =>
  yard.ask<Omit<ProblemDto, 'status'>>('PUT', '/api/session/shed-code', { as, body: { present, code } });

/** The cookie of a device that the crew lead makes one of the shed. */
async function tablet(name = 'Tablet at the door'): Promise<string> {
  const made = await yard.ask('POST', '/api/shed-devices', { body: { name } });
  expect(made.status).toBe(204);
  expect(String(made.headers['set-cookie'])).toMatch(/HttpOnly; SameSite=Strict/);
  return cookieOf(made.headers, 'yugator_shed');
}

const door = async (cookie: string) =>
  (await yard.ask<ShedDoorDto>('GET', '/api/shed', { ...nobody, cookie })).body;
const goIn = (shed: string, personId: string, code: string) =>
  yard.ask<SessionDto & Omit<ProblemDto, 'status'>>('POST', '/api/shed/session', {
    ...nobody,
    cookie: shed,
    body: { personId, code },
  });

/** Asks as the operator who went in at a device of the shed. */
async function inside(): Promise<{
  shed: string;
  ask: (method: string, path: string, asking?: Asking) => ReturnType<Yard['ask']>;
}> {
  await chooseCode('operator', '4719');
  const shed = await tablet();
  const { status, headers } = await goIn(shed, yard.crew.people.operator, '4719');
  expect(status).toBe(201);
  const cookie = `${cookieOf(headers, 'yugator_session')}; ${shed}`;
  return {
    shed,
    ask: (method, path, asking = {}) => yard.ask(method, path, { ...nobody, cookie, ...asking }),
  };
}

const round = (shown: number) => ({ readings: [{ machineId: yard.crew.machine, shown, confirmed: true }] });

describe('a device of the shed', () => {
  it('names those with a code, and nobody on any other device', async () => {
    await chooseCode('operator', '4719');
    await chooseCode('mechanic', '8306');
    const shed = await tablet();
    expect(await door(shed)).toEqual({
      device: 'Tablet at the door',
      people: [
        { id: yard.crew.people.mechanic, name: 'mechanic' },
        { id: yard.crew.people.operator, name: 'operator' },
      ],
    });
    expect(await door('')).toEqual({ device: null, people: [] });
    expect(await door('yugator_shed=made-up')).toEqual({ device: null, people: [] });
    expect((await goIn('', yard.crew.people.operator, '4719')).status).toBe(401);
    await Person.update({ active: false }, { where: { id: yard.crew.people.operator } });
    expect((await door(shed)).people.map(({ name }) => name)).toEqual(['mechanic']);
    expect((await goIn(shed, yard.crew.people.operator, '4719')).status).toBe(401);
  });

  it('lets in by name and four digits, to rounds, walk-rounds and what everybody may read, and to nothing else', async () => {
    const { ask } = await inside();
    const { body } = await ask('GET', '/api/session');
    expect(body).toMatchObject({ atShed: 'Tablet at the door', person: { role: 'operator' } });
    expect((await ask('GET', '/api/today')).status).toBe(200);
    expect((await ask('POST', '/api/round', { body: round(61) })).status).toBe(201);
    const walk = { shown: 61.1, itemIds: [], notWell: [] };
    later(6);
    expect((await ask('POST', `/api/machines/${yard.crew.machine}/walk`, { body: walk })).status).toBe(201);
  });

  it('refuses there what a password is for, whatever the role', async () => {
    const { ask } = await inside();
    const machine = `/api/machines/${yard.crew.machine}`;
    const refused: [method: string, path: string, body: object][] = [
      ['PUT', '/api/session/password', { present: PASSWORD, password: 'another short sentence' }],
      ['PUT', '/api/session/shed-code', { present: PASSWORD, code: '4720' }],
      ['PUT', '/api/session/units', { unitSystem: 'us' }],
      ['POST', `${machine}/defects`, { words: 'Belt squeals', severity: 'soon' }],
      ['POST', `${machine}/done`, {}],
      ['POST', `${machine}/top-ups`, {}],
      ['POST', '/api/shed-devices', { name: 'Another' }],
    ];
    for (const [method, path, body] of refused) {
      const { status, body: said } = await ask(method, path, { body });
      expect([path, status, (said as { title?: string }).title]).toEqual([path, 403, 'Not at the shed']);
    }
    expect((await ask('GET', '/api/audit')).status).toBe(403);
    expect((await ask('DELETE', '/api/session')).status).toBe(204);
    expect((await ask('GET', '/api/session')).status).toBe(401);
  });

  it('puts people out after ten minutes without use, and after two hours in any case', async () => {
    const { ask } = await inside();
    for (let minutes = 0; minutes < 114; minutes += 6) {
      later(6);
      expect([minutes, (await ask('GET', '/api/session')).status]).toEqual([minutes, 200]);
    }
    later(7);
    expect((await ask('GET', '/api/session')).status).toBe(401);
    const next = await inside();
    later(11);
    expect((await next.ask('GET', '/api/session')).status).toBe(401);
  });

  it('is listed and ended by the crew lead, which puts out whoever is in', async () => {
    const { ask, shed } = await inside();
    const list = async (cookie?: string) =>
      (await yard.ask<ShedDeviceDto[]>('GET', '/api/shed-devices', cookie ? { cookie } : {})).body;
    expect(await list()).toMatchObject([{ name: 'Tablet at the door', madeBy: 'crewLead', isThis: false }]);
    expect(JSON.stringify(await list())).not.toMatch(/[Hh]ash/);
    const [device] = await list();
    expect((await yard.ask('DELETE', `/api/shed-devices/${device?.id}`)).status).toBe(204);
    expect((await ask('GET', '/api/session')).status).toBe(401);
    expect(await door(shed)).toEqual({ device: null, people: [] });
    expect((await yard.ask('DELETE', `/api/shed-devices/${device?.id}`)).status).toBe(404);
    const { body } = await yard.ask<AuditPageDto>('GET', '/api/audit');
    const acts = body.entries.map(({ act, subject }) => [act, subject]);
    expect(acts).toEqual(
      expect.arrayContaining([
        ['shedDeviceMade', 'Tablet at the door'],
        ['shedDeviceEnded', 'Tablet at the door'],
        ['codeChanged', 'operator'],
      ]),
    );
  });
});

describe('a code of four digits', () => {
  it('is chosen with the password, kept as argon2id alone, and taken away again', async () => {
    const isSet = async () =>
      (await yard.ask<ShedCodeDto>('GET', '/api/session/shed-code', { as: 'operator' })).body.isSet;
    expect(await isSet()).toBe(false);
    const wrong = await chooseCode('operator', '4719', 'not my password');
    expect(wrong.body.errors?.[0]).toMatchObject({ pointer: '#/present', code: 'wrong' });
    expect((await chooseCode('operator', '4719')).status).toBe(204);
    expect(await isSet()).toBe(true);
    const { shedCodeHash } = await Person.findByPk(yard.crew.people.operator, { rejectOnEmpty: true });
    expect(shedCodeHash).toMatch(/^\$argon2id\$/);
    expect((await yard.ask('DELETE', '/api/session/shed-code', { as: 'operator' })).status).toBe(204);
    expect((await door(await tablet())).people).toEqual([]);
    expect((await chooseCode('viewer', '4719')).status).toBe(403);
  });

  it.each(['1234', '4321', '0000', '1212', '7757', '1987', '2004', '2580', '4747'])(
    'is not %s',
    async (code) => {
      expect(isCommonCode(code)).toBe(true);
      const { body } = await chooseCode('operator', code);
      expect(body.errors?.[0]).toMatchObject({ pointer: '#/code', code: 'common' });
    },
  );

  it.each(['471', '47199', '47a9', ' 4719', '４７１９'])('is not %j', async (code) => {
    expect((await chooseCode('operator', code)).status).toBe(422);
  });

  it('leaves enough to choose from', () => {
    const all = Array.from({ length: 10_000 }, (_, code) => String(code).padStart(4, '0'));
    expect(all.filter((code) => !isCommonCode(code)).length).toBeGreaterThan(9_000);
  });

  it('is guessed at ten times an hour at most, which the list shows; others go in meanwhile', async () => {
    await chooseCode('operator', '4719');
    await chooseCode('mechanic', '8306');
    const shed = await tablet();
    let refused = 0;
    for (let attempt = 0; attempt < 40; attempt += 1) {
      later(1);
      if ((await goIn(shed, yard.crew.people.operator, '0001')).status === 401) refused += 1;
    }
    expect(refused).toBe(10);
    const { status, body, headers } = await goIn(shed, yard.crew.people.operator, '4719');
    expect(status).toBe(429);
    expect(body.detail).toMatch(
      /^That did not work too often\. Wait \d+ minutes and try again, or sign in with your password/,
    );
    expect(Number(headers['retry-after'])).toBeGreaterThan(60);
    expect((await goIn(shed, yard.crew.people.mechanic, '8306')).status).toBe(201);
    const { body: audit } = await yard.ask<AuditPageDto>('GET', '/api/audit?act=codeRefused');
    expect(audit.total).toBe(10);
    later(61);
    expect((await goIn(shed, yard.crew.people.operator, '4719')).status).toBe(201);
  });
});
