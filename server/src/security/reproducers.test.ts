import { connect as connectTo } from 'node:net';
import type { AddressInfo } from 'node:net';
import { monitorEventLoopDelay } from 'node:perf_hooks';
import type { JobDto, MachineDto, ProblemDto, SessionDto } from '@yugator/contracts';
import type { Instant } from '@yugator/core';
import { boundConnections } from '../gate/connections.js';
import { SECURITY_HEADERS } from '../gate/securityHeaders.js';
import { jobActs } from '../testing/jobActs.js';
import { jpeg, NOBODY } from '../testing/pictures.js';
import { PASSWORD } from '../testing/seedCrew.js';
import { NOON, testApp } from '../testing/testApp.js';
import type { TestApp } from '../testing/testApp.js';

let yard: TestApp;
let port: number;
beforeEach(async () => {
  yard = await testApp();
  await yard.app.listen(0, '127.0.0.1');
  port = (yard.app.getHttpServer().address() as AddressInfo).port;
});
afterEach(() => yard.close());

const lead = () => ({ cookie: `yugator_session=${yard.crew.tokens.crewLead}` });
const address = (path: string) => `http://127.0.0.1:${port}${path}`;
const JSON_TYPE = { 'content-type': 'application/json' };

interface Raw {
  readonly status: number;
  readonly head: string;
  readonly body: string;
}

/** Sends bytes as they are and returns what comes back until the connection ends. */
function raw(text: string, { patience = 10_000 } = {}): Promise<Raw> {
  return new Promise((resolve, reject) => {
    const socket = connectTo(port, '127.0.0.1', () => socket.write(text));
    let answer = '';
    const late = setTimeout(() => socket.destroy(), patience);
    socket.on('data', (chunk) => (answer += chunk.toString()));
    socket.on('error', reject);
    socket.on('close', () => {
      clearTimeout(late);
      const [head = '', body = ''] = answer.split('\r\n\r\n');
      resolve({ status: Number(/^HTTP\/1\.1 (\d+)/.exec(head)?.[1] ?? 0), head: head.toLowerCase(), body });
    });
  });
}

/** Our words and headers, and none of the framework's. */
function expectProblem({ status, head, body }: Raw, expected: number): void {
  expect([status, /content-type: ([^;\r]*)/.exec(head)?.[1]]).toEqual([expected, 'application/problem+json']);
  for (const [name, value] of Object.entries(SECURITY_HEADERS))
    expect(head).toContain(`${name}: ${value}`.toLowerCase());
  const problem = JSON.parse(body) as ProblemDto;
  expect(problem.status).toBe(expected);
  expect(problem.detail).toMatch(/^[A-Z].*\.$/);
  expect(body).not.toMatch(/FST_|Cannot |Unexpected|statusCode/);
}

/** The longest that the loop stood still while `work` ran, in milliseconds. */
async function longestStandstill(work: () => Promise<unknown>): Promise<number> {
  const delay = monitorEventLoopDelay({ resolution: 1 });
  delay.enable();
  await work();
  delay.disable();
  return delay.max / 1e6;
}

describe('a stranger', () => {
  it('sends 24 MB of numbers to the sign-in and gets 413 before they are read', async () => {
    const body = JSON.stringify({
      name: Array.from({ length: 3_000_000 }, (_, index) => index),
      password: 'x',
    });
    expect(body.length).toBeGreaterThan(20_000_000);
    const before = process.memoryUsage().rss;
    const answer = await fetch(address('/api/session'), { method: 'POST', headers: JSON_TYPE, body }).catch(
      () => null,
    );
    // The server closes while the client still sends: it hears 413, or that the connection ended.
    expect(answer === null || answer.status === 413).toBe(true);
    expect(process.memoryUsage().rss - before).toBeLessThan(150_000_000);
    expect((await yard.ask('GET', '/api/session')).status).toBe(200);
  });

  it('sends a large body without saying how large, to a route that needs sign-in, and is refused before it is read', async () => {
    const chunk = 'x'.repeat(60_000);
    const head =
      'POST /api/fleet/import HTTP/1.1\r\nHost: localhost\r\nContent-Type: application/json\r\nTransfer-Encoding: chunked\r\nConnection: close\r\n\r\n';
    expectProblem(await raw(`${head}${chunk.length.toString(16)}\r\n${chunk}\r\n0\r\n\r\n`), 401);
  });

  it.each([
    ['a form of another page', { 'content-type': 'application/x-www-form-urlencoded' }, 415],
    ['plain text', { 'content-type': 'text/plain' }, 415],
    ['another origin', { ...JSON_TYPE, origin: 'https://evil.example' }, 403],
    ['no origin at all', { ...JSON_TYPE, origin: 'null' }, 403],
    ['the page of another site', { ...JSON_TYPE, 'sec-fetch-site': 'cross-site' }, 403],
    ['a page of another port', { ...JSON_TYPE, 'sec-fetch-site': 'same-site' }, 403],
  ])('sends %s and is refused', async (_what, headers, status) => {
    const body = JSON.stringify({ name: 'crewLead', password: PASSWORD });
    const answer = await fetch(address('/api/session'), { method: 'POST', headers, body });
    expect([answer.status, answer.headers.get('content-type')?.split(';')[0]]).toEqual([
      ...[status, 'application/problem+json'],
    ]);
  });

  it('asks for a foreign host and is served nothing', async () => {
    expectProblem(
      await raw('GET /api/welcome HTTP/1.1\r\nHost: evil.example\r\nConnection: close\r\n\r\n'),
      421,
    );
    expectProblem(await raw('GET / HTTP/1.1\r\nHost: evil.example:80\r\nConnection: close\r\n\r\n'), 421);
  });

  it.each([
    ['an address that is none', 'GET /api/%zz HTTP/1.1\r\nHost: localhost\r\nConnection: close\r\n\r\n', 400],
    ['no request', 'HELLO\r\n\r\n', 400],
    ['too large a head', `GET / HTTP/1.1\r\nHost: localhost\r\nX: ${'x'.repeat(40_000)}\r\n\r\n`, 431],
    [
      'an address of its own making',
      'GET /api/nothing HTTP/1.1\r\nHost: localhost\r\nConnection: close\r\n\r\n',
      404,
    ],
    [
      'a method that is not offered',
      'PATCH /api/books HTTP/1.1\r\nHost: localhost\r\nConnection: close\r\n\r\n',
      404,
    ],
    [
      'half a JSON text',
      'POST /api/session HTTP/1.1\r\nHost: localhost\r\nContent-Type: application/json\r\nContent-Length: 5\r\nConnection: close\r\n\r\n{"nam',
      400,
    ],
    [
      'bytes that are no text',
      'POST /api/session HTTP/1.1\r\nHost: localhost\r\nContent-Type: application/json\r\nContent-Length: 4\r\nConnection: close\r\n\r\n"\u0080\u0081"'.slice(
        0,
        -1,
      ),
      400,
    ],
  ])('sends %s and reads a problem in our words', async (_what, text, status) => {
    expectProblem(await raw(text), status);
  });

  it('nests five thousand deep and is refused', async () => {
    const body = `{"name":${'['.repeat(5000)}${']'.repeat(5000)},"password":"x"}`;
    const answer = await fetch(address('/api/session'), { method: 'POST', headers: JSON_TYPE, body });
    expect(answer.status).toBe(413);
  });

  it('holds no more connections than a crew needs, and no unfinished body for long', async () => {
    boundConnections(yard.app.getHttpServer(), 5);
    const sockets = Array.from({ length: 12 }, () => connectTo(port, '127.0.0.1'));
    const closed = await Promise.all(
      sockets.map(
        (socket) =>
          new Promise<boolean>((resolve) => {
            socket.on('error', () => undefined);
            socket.once('close', () => resolve(true));
            setTimeout(() => resolve(false), 500);
          }),
      ),
    );
    expect(closed.filter(Boolean).length).toBeGreaterThanOrEqual(7);
    for (const socket of sockets) socket.destroy();
  });
});

describe('whoever guesses passwords', () => {
  const nobody = { as: undefined as never };
  const signIn = (name: string, password: string, cookie?: string) =>
    yard.ask<SessionDto & Omit<ProblemDto, 'status'>>('POST', '/api/session', {
      ...nobody,
      ...(cookie ? { cookie } : {}),
      body: { name, password },
    });
  const later = (seconds: number) => yard.clock.set((yard.clock.now() + seconds * 1000) as Instant);

  it.each(['mechanic', 'MECHANIC', 'mechánic', 'ｍｅｃｈａｎｉｃ', ' mechanic '])(
    'gains nothing by spelling the name %s',
    async (spelled) => {
      for (let time = 0; time < 5; time += 1) await signIn('mechanic', 'wrong');
      const { status, body, headers } = await signIn(spelled, 'wrong');
      expect([status, body.title]).toEqual([429, 'Too many attempts']);
      expect(Number(headers['retry-after'])).toBeGreaterThan(0);
    },
  );

  it('waits longer and longer, and fails at most a hundred times an hour', async () => {
    let failures = 0;
    const end = yard.clock.now() + 3_600_000;
    while (yard.clock.now() < end) {
      const { status } = await signIn('mechanic', 'wrong');
      if (status === 401) failures += 1;
      else later(5);
    }
    expect(failures).toBeGreaterThan(10);
    expect(failures).toBeLessThanOrEqual(100);
  });

  it('does not keep the person out on a device that they signed in on before', async () => {
    const { headers } = await signIn('crewLead', PASSWORD);
    const device = [headers['set-cookie']]
      .flat()
      .map(String)
      .find((cookie) => cookie.startsWith('yugator_device'));
    for (let time = 0; time < 40; time += 1) await signIn('crewLead', 'wrong');
    expect((await signIn('crewLead', PASSWORD)).status).toBe(429);
    expect((await signIn('crewLead', PASSWORD, device?.split(';')[0])).status).toBe(201);
    const forged = device?.split(';')[0]?.replace(/~.*/, '~AAAA');
    expect((await signIn('crewLead', PASSWORD, forged)).status).toBe(429);
  });

  it('is slowed by the address, whatever names are tried', async () => {
    const answers: number[] = [];
    for (let name = 0; name < 60; name += 1) answers.push((await signIn(`nobody ${name}`, 'wrong')).status);
    expect(answers.filter((status) => status === 429).length).toBeGreaterThan(30);
  });

  it('does not have what succeeded counted', async () => {
    for (let time = 0; time < 12; time += 1) expect((await signIn('operator', PASSWORD)).status).toBe(201);
  });

  it('a hundred and twenty at once holds nobody else up', async () => {
    const crowd = Array.from({ length: 120 }, (_, index) => signIn(`nobody ${index}`, 'wrong'));
    const began = performance.now();
    expect((await yard.ask('GET', '/api/session')).status).toBe(200);
    expect(performance.now() - began).toBeLessThan(2_000);
    const statuses = (await Promise.all(crowd)).map(({ status }) => status);
    expect(statuses.filter((status) => status >= 500 && status !== 503)).toEqual([]);
  });
});

describe('an id in capitals', () => {
  it('is no id, in paths, queries and bodies, and nothing is kept under it', async () => {
    const capital = yard.crew.machine.toUpperCase();
    const body = { machineId: capital, itemIds: [yard.crew.oil] };
    const open = await yard.ask<ProblemDto>('POST', '/api/jobs', { body });
    expect([open.status, open.body.errors?.[0]?.pointer]).toEqual([422, '#/machineId']);
    expect((await yard.ask('GET', `/api/machines/${capital}`)).status).toBe(404);
    const query = await yard.ask<ProblemDto>('GET', `/api/records?machineId=${capital}`);
    expect([query.status, query.body.errors?.[0]?.pointer]).toEqual([422, '#/machineId']);
    const { ready, signOff } = jobActs(() => yard);
    const signed = await signOff<ProblemDto>(await ready(), {
      doneById: yard.crew.people.mechanic.toUpperCase(),
    });
    expect([signed.status, signed.body.errors?.[0]?.pointer]).toEqual([422, '#/doneById']);
  });

  it.each(['ünï', '%00', '\u{1f69c}', 'x'.repeat(90)])('or %s names nothing', async (id) => {
    expect((await yard.ask('GET', `/api/machines/${encodeURIComponent(id)}`)).status).toBe(404);
  });
});

describe('whoever is signed in', () => {
  const acts = jobActs(() => yard);

  it('signs off only as done by somebody who does jobs and is still there, and stands beside it', async () => {
    const job = await acts.ready();
    for (const role of ['viewer', 'operator'] as const) {
      const refused = await acts.signOff<ProblemDto>(job, { doneById: yard.crew.people[role] });
      expect([refused.status, refused.body.errors?.[0]?.pointer]).toEqual([422, '#/doneById']);
    }
    const signed = await acts.signOff(job, { doneById: yard.crew.people.crewLead });
    expect(signed.body.record).toMatchObject({ doneBy: 'crewLead', signedBy: 'mechanic' });
    yard.clock.set((NOON + 3_600_000) as Instant);
    const own = await acts.signOff((await acts.tick((await acts.open([yard.crew.grease])).body)).body, {
      shown: 62,
    });
    expect(own.body.record).toMatchObject({ doneBy: 'mechanic', signedBy: null });
    const audit = await yard.ask<{ entries: { subject: string }[] }>(
      'GET',
      '/api/audit?act=signedOffForAnother',
    );
    expect(audit.body.entries.map(({ subject }) => subject)).toEqual(['T-1, done by crewLead']);
  });

  it('has at most eight live feeds, and none once the session has ended', async () => {
    const stops = Array.from({ length: 8 }, () => new AbortController());
    const listen = (signal: AbortSignal) => fetch(address('/api/live'), { headers: lead(), signal });
    for (const { signal } of stops) expect((await listen(signal)).status).toBe(200);
    expect((await listen(AbortSignal.timeout(2000))).status).toBe(429);
    stops[0]?.abort();
    await new Promise((turn) => setTimeout(turn, 200));
    const again = new AbortController();
    expect((await listen(again.signal)).status).toBe(200);
    for (const stop of [...stops, again]) stop.abort();
  });

  it('gets live feeds and problems with every security header, and nothing that is kept', async () => {
    const stop = new AbortController();
    const feed = await fetch(address('/api/live'), { headers: lead(), signal: stop.signal });
    for (const [name, value] of Object.entries(SECURITY_HEADERS))
      expect([name, feed.headers.get(name)]).toEqual([name, value]);
    stop.abort();
    const list = await fetch(address('/api/machines'), { headers: lead() });
    expect(list.headers.get('cache-control')).toBe('no-store');
    expect(SECURITY_HEADERS['x-frame-options']).toBe('DENY');
    expect(SECURITY_HEADERS['content-security-policy']).toContain("frame-ancestors 'none'");
  });

  it('takes back their own slip of today as an operator, and no other', async () => {
    const enter = (as: 'operator' | 'mechanic', shown: number) =>
      yard.ask('POST', '/api/round', { as, body: { readings: [{ machineId: yard.crew.machine, shown }] } });
    const latest = async () =>
      (await yard.ask<{ id: string }[]>('GET', `/api/machines/${yard.crew.machine}/readings`)).body[0]?.id ??
      '';
    const take = async (id: string) =>
      (await yard.ask('POST', `/api/readings/${id}/void`, { as: 'operator', body: { reason: 'A slip' } }))
        .status;
    await enter('mechanic', 61);
    expect(await take(await latest())).toBe(403);
    yard.clock.set((NOON + 3_600_000) as Instant);
    await enter('operator', 61.5);
    const own = await latest();
    expect(await take(own)).toBe(204);
    yard.clock.set((NOON + 2 * 3_600_000) as Instant);
    await enter('operator', 61.6);
    const old = await latest();
    yard.clock.set((NOON + 86_400_000) as Instant);
    expect(await take(old)).toBe(403);
  });

  it('chooses a hundred thousand items and holds nobody up', async () => {
    const itemIds = Array.from({ length: 1_500 }, (_, index) => index.toString(16).padStart(36, '0'));
    const body = { machineId: yard.crew.machine, itemIds };
    const stood = await longestStandstill(async () => {
      expect((await yard.ask('POST', '/api/jobs', { as: 'mechanic', body })).status).toBe(422);
    });
    // A wide bound, because tests share the machine; the bench measures it.
    expect(stood).toBeLessThan(500);
    const large = { ...body, itemIds: Array.from({ length: 100_000 }, () => NOBODY) };
    expect((await yard.ask('POST', '/api/jobs', { as: 'mechanic', body: large })).status).toBe(413);
  });

  it('asks for thirty papers at once, and others go on', async () => {
    const papers = Array.from({ length: 30 }, () =>
      fetch(address(`/api/machines/${yard.crew.machine}/record.pdf`), { headers: lead() }),
    );
    const stood = await longestStandstill(async () => {
      expect((await fetch(address('/api/session'), { headers: lead() })).status).toBe(200);
    });
    expect(stood).toBeLessThan(500);
    const statuses = (await Promise.all(papers)).map(({ status }) => status);
    expect(statuses.filter((status) => status === 200).length).toBeGreaterThanOrEqual(10);
    expect(statuses.filter((status) => status !== 200 && status !== 503)).toEqual([]);
  });

  it('is stopped at values that once were errors', async () => {
    const id = yard.crew.machine;
    const { body: machine } = await yard.ask<MachineDto>('GET', `/api/machines/${id}`);
    const attempts: [string, string, unknown][] = [
      ['POST', '/api/round', { readings: [{ machineId: id, shown: 61 }], readAt: '2026-W01' }],
      ['POST', '/api/round', { readings: [{ machineId: id, shown: 5e-324 }] }],
      ['POST', '/api/round', { readings: [{ machineId: { a: 1 }, shown: 61 }] }],
      ['POST', '/api/fleet/import', { isTrial: true }],
      ['PUT', `/api/machines/${id}/spec`, { version: machine.version }],
      ['POST', '/api/people', { name: { toString: 1 }, role: 'viewer', password: PASSWORD }],
      ['POST', '/api/people', { name: 'x' + '\ufe0f'.repeat(80), role: 'viewer', password: PASSWORD }],
      [
        'POST',
        `/api/machines/${id}/share`,
        { parts: ['spec'], machineIds: [yard.crew.otherMachine, yard.crew.otherMachine] },
      ],
      ['POST', `/api/machines/${id}/defects`, { words: 'half \ud800 a letter', severity: 'soon' }],
    ];
    for (const [method, path, body] of attempts) {
      const { status, body: problem } = await yard.ask<ProblemDto>(method, path, { body });
      expect([path, status, problem.errors?.length]).toEqual([path, 422, 1]);
    }
    const now = { readings: [{ machineId: id, shown: 61 }], readAt: null };
    expect((await yard.ask('POST', '/api/round', { body: now })).status).toBe(201);
  });

  it('keeps a photo of their work, of which no place is kept', async () => {
    const { body } = await acts.open([yard.crew.oil]);
    const photo = (await jpeg({ isPlaced: true })).toString('base64');
    const kept = await yard.ask<JobDto>('POST', `/api/jobs/${body.id}/photos`, {
      body: { jpeg: photo, caption: '' },
    });
    const shown = await fetch(address(kept.body.photos[0]?.path ?? ''), { headers: lead() });
    const bytes = Buffer.from(await shown.arrayBuffer());
    expect(bytes.includes('Exif')).toBe(false);
  });
});

describe('answers', () => {
  it('come compressed and once: whoever has the same already gets none', async () => {
    const ask = (more: Record<string, string> = {}) =>
      fetch(address('/api/books'), { headers: { ...lead(), 'accept-encoding': 'br', ...more } });
    const first = await ask();
    expect([first.status, first.headers.get('content-encoding') ?? 'none']).toEqual([
      200,
      expect.stringMatching(/br|none/),
    ]);
    const tag = first.headers.get('etag') ?? '';
    expect(tag).toMatch(/^W\/"/);
    expect((await ask({ 'if-none-match': tag })).status).toBe(304);
    const machines = await fetch(address('/api/machines'), {
      headers: { ...lead(), 'accept-encoding': 'gzip' },
    });
    expect(machines.headers.get('content-encoding')).toBe('gzip');
  });
});
