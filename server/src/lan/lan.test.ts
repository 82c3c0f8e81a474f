import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { request as httpRequest } from 'node:http';
import type { IncomingHttpHeaders } from 'node:http';
import { request as httpsRequest } from 'node:https';
import { createConnection } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { NestFastifyApplication } from '@nestjs/platform-fastify';
import { SetClock } from '../clock/clock.js';
import { createApp } from '../createApp.js';
import { KnownHosts } from '../gate/knownHosts.js';
import { PASSWORD, seedCrew } from '../testing/seedCrew.js';
import { NOON } from '../testing/testApp.js';
import { makeSchema, testDatabase } from '../testing/testDatabase.js';
import { fingerprint } from './certificates.js';
import { Lan } from './lan.js';
import { lanCertificates } from './lanCertificates.js';
import type { LanCertificates, LanOptions } from './lanCertificates.js';

interface Answer {
  readonly status: number;
  readonly headers: IncomingHttpHeaders;
  readonly body: string;
}

interface Asking {
  readonly method?: string;
  readonly host?: string;
  readonly ca?: string;
  readonly body?: object;
}

let data: string;
let database: Awaited<ReturnType<typeof testDatabase>>;
beforeAll(async () => {
  data = mkdtempSync(join(tmpdir(), 'yugator-lan-'));
  database = await testDatabase();
  await makeSchema(database.sequelize);
  await seedCrew(new SetClock(NOON));
});
afterAll(async () => {
  await database.drop();
  rmSync(data, { recursive: true, force: true });
});

/** Yugator as it is served to the network, and the means to ask it. Who asks counts as a stranger, but for `isOwn`. */
async function served(options: LanOptions, isOwn = false) {
  const read = () => lanCertificates(options, data, 'Larkmere & Sons', Date.now());
  const certificates = await read();
  const hosts = new KnownHosts([]);
  const app: NestFastifyApplication = await createApp({
    sequelize: database.sequelize,
    databaseUrl: database.url,
    clock: new SetClock(NOON),
    hosts,
    tls: certificates.machine,
    isStrictlySecure: options.own !== null,
  });
  let renewed: LanCertificates | null = null;
  const problems: string[] = [];
  const lan = await Lan.serve({
    app,
    hosts,
    certificates,
    port: 0,
    siteName: 'Larkmere & Sons',
    renew: () => (renewed ? Promise.resolve(renewed) : read()),
    onProblem: (problem) => problems.push(problem),
    isOwn: () => isOwn,
  });
  const ask = (scheme: 'http' | 'https', path: string, asking: Asking = {}): Promise<Answer> =>
    new Promise((answered, failed) => {
      const { method = 'GET', host = `127.0.0.1:${lan.port}`, body } = asking;
      const ca = asking.ca ?? certificates.authority?.certificate ?? certificates.machine.certificate;
      const send = scheme === 'https' ? httpsRequest : httpRequest;
      const request = send(
        {
          method,
          path,
          ca,
          host: '127.0.0.1',
          port: lan.port,
          agent: false,
          // The names of the certificate are tried where it is made; here it is the Host that counts.
          servername: 'localhost',
          headers: { host, ...(body ? { 'content-type': 'application/json' } : {}) },
        },
        (reply) => {
          let text = '';
          reply.on('data', (part: Buffer) => (text += part.toString()));
          reply.on('end', () =>
            answered({ status: reply.statusCode ?? 0, headers: reply.headers, body: text }),
          );
        },
      );
      request.on('error', failed);
      request.end(body ? JSON.stringify(body) : undefined);
    });
  return {
    certificates,
    ask,
    lan,
    problems,
    renewTo: (next: LanCertificates) => {
      renewed = next;
      return lan.look();
    },
    close: async () => {
      await lan.close();
      await app.close();
    },
  };
}

const OWN_MAKING: LanOptions = { name: 'yard.test', own: null };
const SIGN_IN = { method: 'POST', body: { name: 'crewLead', password: PASSWORD } };

describe('Yugator in the network', () => {
  it('is served under TLS, with cookies that go nowhere else, and no promise for a certificate of its own making', async () => {
    const yugator = await served(OWN_MAKING);
    expect((await yugator.ask('https', '/api/health')).status).toBe(200);
    const { status, headers } = await yugator.ask('https', '/api/session', SIGN_IN);
    expect(status).toBe(201);
    for (const cookie of headers['set-cookie'] ?? []) expect(cookie).toMatch(/^__Host-.*; Secure/);
    expect(headers['set-cookie']?.length).toBeGreaterThan(0);
    expect(headers['strict-transport-security']).toBeUndefined();
    // Under its names and no other.
    expect((await yugator.ask('https', '/api/health', { host: 'yard.test' })).status).toBe(200);
    expect((await yugator.ask('https', '/api/health', { host: 'bank.test' })).status).toBe(421);
    await yugator.close();
  });

  it('tells strangers without TLS how to trust it, and nothing else', async () => {
    const yugator = await served(OWN_MAKING);
    const { port } = yugator.lan;
    for (const path of ['/', '/api/health', '/api/machines', '/m/T-02?x=1']) {
      const { status, headers } = await yugator.ask('http', path, { host: `yard.test:${port}` });
      expect([status, headers.location]).toEqual([302, `http://yard.test:${port}/trust`]);
    }
    expect((await yugator.ask('http', '/api/session', SIGN_IN)).status).toBe(405);
    const page = await yugator.ask('http', '/trust');
    expect(page.body).toContain(await fingerprint(yugator.certificates.authority?.certificate ?? ''));
    expect(page.body).toContain('Larkmere &amp; Sons');
    expect(page.headers['content-security-policy']).toMatch(/script-src 'self'/);
    expect(page.body).not.toContain('<script');
    const got = await yugator.ask('http', '/trust/yugator-authority.crt');
    expect([got.body, got.headers['content-type']]).toEqual([
      yugator.certificates.authority?.certificate,
      'application/x-x509-ca-cert',
    ]);
    // A name that is not ours is not handed back to who asks.
    const foreign = await yugator.ask('http', '/', { host: 'bank.test' });
    expect(foreign.headers.location).toBe(`http://yard.test:${port}/trust`);
    await yugator.close();
  });

  it('is there for this machine itself as before', async () => {
    const yugator = await served(OWN_MAKING, true);
    expect((await yugator.ask('http', '/api/health')).status).toBe(200);
    const { headers } = await yugator.ask('http', '/api/session', SIGN_IN);
    expect(headers['set-cookie']?.[0]).not.toMatch(/Secure/);
    await yugator.close();
  });

  it('takes up a new certificate and new names without being started anew, and says so where it cannot', async () => {
    const yugator = await served(OWN_MAKING);
    const other = mkdtempSync(join(tmpdir(), 'yugator-lan-'));
    const next = await lanCertificates({ name: 'shed.test', own: null }, other, 'Other', Date.now());
    await yugator.renewTo(next);
    const ca = next.authority?.certificate ?? '';
    expect((await yugator.ask('https', '/api/health', { ca, host: 'shed.test' })).status).toBe(200);
    await expect(yugator.ask('https', '/api/health')).rejects.toThrow();
    rmSync(other, { recursive: true, force: true });
    await yugator.close();
  });

  it('with a certificate of the crew’s own asks browsers for TLS alone, and leads there', async () => {
    const made = await lanCertificates(OWN_MAKING, data, 'Larkmere', Date.now());
    const own = { certificate: join(data, 'own.pem'), key: join(data, 'own.key') };
    writeFileSync(own.certificate, made.machine.certificate);
    writeFileSync(own.key, made.machine.key);
    const yugator = await served({ name: null, own });
    const ca = made.authority?.certificate ?? '';
    const { headers } = await yugator.ask('https', '/api/health', { ca });
    expect(headers['strict-transport-security']).toBe('max-age=31536000');
    const led = await yugator.ask('http', '/m/T-02', { host: 'yard.test' });
    expect([led.status, led.headers.location]).toEqual([308, `https://yard.test:${yugator.lan.port}/m/T-02`]);
    writeFileSync(own.certificate, 'no certificate');
    await yugator.lan.look();
    expect(yugator.problems).toEqual([expect.stringContaining('could not be renewed')]);
    expect((await yugator.ask('https', '/api/health', { ca })).status).toBe(200);
    await yugator.close();
  });

  it('bears what is neither: rubbish, silence and a slammed door', async () => {
    const yugator = await served(OWN_MAKING);
    for (const bytes of ['\u0016\u0003', 'rubbish\r\n\r\n', '']) {
      await new Promise<void>((gone) => {
        const socket = createConnection({ port: yugator.lan.port, host: '127.0.0.1' }, () => {
          socket.write(bytes);
          setTimeout(() => socket.destroy(), 20);
        });
        socket.on('error', () => undefined);
        socket.on('close', () => gone());
      });
    }
    expect((await yugator.ask('https', '/api/health')).status).toBe(200);
    await yugator.close();
  });
});
