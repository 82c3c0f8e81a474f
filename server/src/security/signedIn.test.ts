import type { AddressInfo } from 'node:net';
import { monitorEventLoopDelay } from 'node:perf_hooks';
import type { JobDto, MachineDto, ProblemDto } from '@yugator/contracts';
import type { Instant } from '@yugator/core';
import { SECURITY_HEADERS } from '../gate/securityHeaders.js';
import { jobActs } from '../testing/jobActs.js';
import { jpeg, NOBODY } from '../testing/pictures.js';
import { PASSWORD } from '../testing/seedCrew.js';
import { NOON, yardOfFile } from '../testing/testApp.js';

const yard = yardOfFile('Europe/London');
let port: number;
beforeAll(async () => {
  await yard.app.listen(0, '127.0.0.1');
  port = (yard.app.getHttpServer().address() as AddressInfo).port;
});

const lead = () => ({ cookie: `yugator_session=${yard.crew.tokens.crewLead}` });
const address = (path: string) => `http://127.0.0.1:${port}${path}`;

/** The longest that the loop stood still while `work` ran, in milliseconds. */
async function longestStandstill(work: () => Promise<unknown>): Promise<number> {
  const delay = monitorEventLoopDelay({ resolution: 1 });
  delay.enable();
  await work();
  delay.disable();
  return delay.max / 1e6;
}

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
