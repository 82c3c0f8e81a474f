import { X509Certificate } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { connect, createServer } from 'node:tls';
import type { TLSSocket } from 'node:tls';
import { endOf, fingerprint, namesIn, newAuthority, newLeaf } from './certificates.js';
import type { KeyPair } from './certificates.js';
import { CertificateStore } from './certificateStore.js';
import { isHostName, machineNames } from './machineNames.js';

const DAY_MS = 86_400_000;
const NOW = Date.now();
const NAMES = ['yard.test', '192.0.2.7'];

/** What a client says that asks a server with `leaf` under a name and trusts `ca`: 'accepted', or the code of its refusal (by OpenSSL). */
async function verdict(leaf: KeyPair, servername: string, ca?: string): Promise<string> {
  const server = createServer({ cert: leaf.certificate, key: leaf.key }, (socket: TLSSocket) => socket.end());
  server.on('tlsClientError', () => undefined);
  await new Promise<void>((ready) => server.listen(0, '127.0.0.1', ready));
  const address = server.address();
  const port = address && typeof address === 'object' ? address.port : 0;
  const said = await new Promise<string>((told) => {
    const isAddress = /^[\d.]+$/.test(servername);
    const client = connect({
      port,
      host: '127.0.0.1',
      ...(isAddress ? { checkServerIdentity: (_host, cert) => checked(servername, cert) } : { servername }),
      ...(ca ? { ca } : {}),
    });
    client.once('secureConnect', () => told('accepted'));
    client.once('error', (error: NodeJS.ErrnoException) => told(error.code ?? error.message));
    client.once('close', () => client.destroy());
  });
  await new Promise((closed) => server.close(closed));
  return said;
}

/** The usual check, as for the address that was dialled. */
function checked(address: string, { subjectaltname = '' }: { subjectaltname?: string }): Error | undefined {
  return subjectaltname.split(', ').includes(`IP Address:${address}`)
    ? undefined
    : Object.assign(new Error('other address'), { code: 'ERR_TLS_CERT_ALTNAME_INVALID' });
}

describe('the certificate of a machine', () => {
  let authority: KeyPair;
  beforeAll(async () => {
    authority = await newAuthority('Larkmere', NOW);
  });

  it('is accepted by whoever trusts its authority, under each of its names and addresses', async () => {
    const leaf = await newLeaf(authority, NAMES, NOW);
    expect(await verdict(leaf, 'yard.test', authority.certificate)).toBe('accepted');
    expect(await verdict(leaf, '192.0.2.7', authority.certificate)).toBe('accepted');
  });

  it('is refused by everybody else, and under any other name', async () => {
    const leaf = await newLeaf(authority, NAMES, NOW);
    const other = await newAuthority('Larkmere', NOW);
    expect(await verdict(leaf, 'yard.test')).toMatch(/UNABLE_TO_VERIFY|SELF_SIGNED|UNABLE_TO_GET_ISSUER/);
    expect(await verdict(leaf, 'yard.test', other.certificate)).toMatch(/UNABLE_TO|SIGNATURE|SELF_SIGNED/);
    expect(await verdict(leaf, 'bank.test', authority.certificate)).toBe('ERR_TLS_CERT_ALTNAME_INVALID');
    expect(await verdict(leaf, '192.0.2.8', authority.certificate)).toBe('ERR_TLS_CERT_ALTNAME_INVALID');
  });

  it('is refused before its time and after it', async () => {
    const past = await newLeaf(authority, NAMES, NOW - 400 * DAY_MS);
    expect(await verdict(past, 'yard.test', authority.certificate)).toBe('CERT_HAS_EXPIRED');
    const future = await newLeaf(authority, NAMES, NOW + 3 * DAY_MS);
    expect(await verdict(future, 'yard.test', authority.certificate)).toBe('CERT_NOT_YET_VALID');
  });

  it('vouches for nobody else, and holds no longer than strict phones take', async () => {
    const leaf = new X509Certificate((await newLeaf(authority, NAMES, NOW)).certificate);
    expect([leaf.ca, new X509Certificate(authority.certificate).ca]).toEqual([false, true]);
    expect(leaf.keyUsage).toEqual(['1.3.6.1.5.5.7.3.1']);
    expect((Date.parse(leaf.validTo) - Date.parse(leaf.validFrom)) / DAY_MS).toBeLessThanOrEqual(398);
  });

  it('has the fingerprint that OpenSSL reckons', async () => {
    expect(await fingerprint(authority.certificate)).toBe(
      new X509Certificate(authority.certificate).fingerprint256,
    );
  });
});

describe('the certificates of a site', () => {
  let data: string;
  beforeEach(() => {
    data = mkdtempSync(join(tmpdir(), 'yugator-tls-'));
  });
  afterEach(() => rmSync(data, { recursive: true, force: true }));

  const both = async (names: readonly string[], now = NOW) => {
    const store = new CertificateStore(data);
    const authority = await store.authority('Larkmere', now);
    return { authority, leaf: await store.leaf(authority, names, now) };
  };

  it('are made once and kept, their keys for nobody else to read', async () => {
    const first = await both(NAMES);
    expect(await both(NAMES)).toEqual(first);
    for (const file of ['authority.key.pem', 'machine.key.pem'])
      expect(statSync(join(data, 'tls', file)).mode & 0o777).toBe(0o600);
    expect(statSync(join(data, 'tls')).mode & 0o777).toBe(0o700);
  });

  it('renew that of the machine by itself, for a new name and long before its end; the authority stays', async () => {
    const first = await both(NAMES);
    const named = await both([...NAMES, 'shed.test']);
    expect(named.authority).toEqual(first.authority);
    expect(await namesIn(named.leaf.certificate)).toContain('shed.test');
    // What it is called no more does no harm.
    expect((await both(NAMES)).leaf).toEqual(named.leaf);
    const later = await both(NAMES, NOW + 260 * DAY_MS);
    expect(later.authority).toEqual(first.authority);
    expect(await endOf(later.leaf.certificate)).toBeGreaterThan(NOW + 600 * DAY_MS);
  });

  it('are made anew where a file is missing, foreign or half written', async () => {
    const first = await both(NAMES);
    const stranger = await newLeaf(await newAuthority('Larkmere', NOW), NAMES, NOW);
    writeFileSync(join(data, 'tls', 'machine.pem'), stranger.certificate);
    writeFileSync(join(data, 'tls', 'machine.key.pem'), stranger.key);
    const second = await both(NAMES);
    expect(second.authority).toEqual(first.authority);
    expect(await verdict(second.leaf, 'yard.test', first.authority.certificate)).toBe('accepted');
    // The key of one and the certificate of another do not belong together.
    writeFileSync(join(data, 'tls', 'machine.key.pem'), first.leaf.key);
    const third = await both(NAMES);
    expect(await verdict(third.leaf, 'yard.test', first.authority.certificate)).toBe('accepted');
    expect(readFileSync(join(data, 'tls', 'machine.pem'), 'utf8')).toBe(third.leaf.certificate);
  });
});

describe('what a machine is called', () => {
  it('is first what it was named, then its own names and addresses, and loopback', () => {
    const names = machineNames('Yard.Test');
    expect(names[0]).toBe('yard.test');
    expect(names.slice(-2)).toEqual(['localhost', '127.0.0.1']);
    expect(new Set(names).size).toBe(names.length);
  });

  it.each([
    ['yard.local', true],
    ['yard', true],
    ['192.0.2.7', true],
    ['-yard', false],
    ['yard..local', false],
    ['yard local', false],
    ['yard/../x', false],
    [`${'a'.repeat(64)}.local`, false],
    ['', false],
  ])('%s may stand in an address: %s', (name, may) => {
    expect(isHostName(name)).toBe(may);
  });
});
