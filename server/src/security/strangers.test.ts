import { connect as connectTo } from 'node:net';
import type { AddressInfo } from 'node:net';
import type { ProblemDto } from '@yugator/contracts';
import { boundConnections } from '../gate/connections.js';
import { SECURITY_HEADERS } from '../gate/securityHeaders.js';
import { PASSWORD } from '../testing/seedCrew.js';
import { yardOfFile } from '../testing/testApp.js';

const yard = yardOfFile();
let port: number;
beforeAll(async () => {
  await yard.app.listen(0, '127.0.0.1');
  port = (yard.app.getHttpServer().address() as AddressInfo).port;
});

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

  it('is heard out for eight seconds where a body never ends', async () => {
    const head =
      'POST /api/session HTTP/1.1\r\nHost: localhost\r\nContent-Type: application/json\r\nContent-Length: 500\r\n\r\n{';
    const began = performance.now();
    expectProblem(await raw(head, { patience: 20_000 }), 408);
    expect(performance.now() - began).toBeLessThan(12_000);
  });

  it('holds no more connections than a crew needs', async () => {
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
