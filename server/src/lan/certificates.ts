import { isIP } from 'node:net';
import 'reflect-metadata';
import type { X509Certificate } from '@peculiar/x509';

const KEY = { name: 'ECDSA', namedCurve: 'P-256', hash: 'SHA-256' } as const;
const DAY_MS = 86_400_000;
/** Phones are told once in the life of a site whom to trust. */
const AUTHORITY_DAYS = 3_650;
/** The longest that all phones take is 825 days, and 398 where they are strict (common practice); it is renewed long before. */
const LEAF_DAYS = 397;
/** A clock that is behind must not find the certificate of today one of tomorrow. */
const BEFORE_MS = DAY_MS;

/** Read when the first certificate is: most sites are served on one machine alone, and need none. */
const library = () => import('@peculiar/x509');

/** A certificate with its key, both as PEM. */
export interface KeyPair {
  readonly certificate: string;
  readonly key: string;
}

function pem(label: string, bytes: ArrayBuffer): string {
  const lines =
    Buffer.from(bytes)
      .toString('base64')
      .match(/.{1,64}/g) ?? [];
  return `-----BEGIN ${label}-----\n${lines.join('\n')}\n-----END ${label}-----\n`;
}

function newKeys(): Promise<CryptoKeyPair> {
  return crypto.subtle.generateKey(KEY, true, ['sign', 'verify']);
}

async function keyPem(key: CryptoKey): Promise<string> {
  return pem('PRIVATE KEY', await crypto.subtle.exportKey('pkcs8', key));
}

async function keyOf(text: string): Promise<CryptoKey> {
  const bytes = Buffer.from(text.replaceAll(/-----[^-]+-----|\s/g, ''), 'base64');
  return crypto.subtle.importKey('pkcs8', bytes, KEY, false, ['sign']);
}

/** Positive, of 16 random bytes (RFC 5280, 4.1.2.2). */
function serialNumber(): string {
  const bytes = Buffer.from(crypto.getRandomValues(new Uint8Array(16)));
  bytes[0] = ((bytes[0] ?? 0) & 0x7f) | 0x40;
  return bytes.toString('hex');
}

function period(now: number, days: number): { notBefore: Date; notAfter: Date } {
  return { notBefore: new Date(now - BEFORE_MS), notAfter: new Date(now + days * DAY_MS) };
}

/** An authority of the site's own, which vouches for its own machine and for nothing beneath that (RFC 5280, 4.2.1.9). */
export async function newAuthority(name: string, now: number): Promise<KeyPair> {
  const x509 = await library();
  const keys = await newKeys();
  const certificate = await x509.X509CertificateGenerator.createSelfSigned({
    serialNumber: serialNumber(),
    name: [{ CN: [`Yugator, ${name}`] }],
    ...period(now, AUTHORITY_DAYS),
    signingAlgorithm: KEY,
    keys,
    extensions: [
      new x509.BasicConstraintsExtension(true, 0, true),
      new x509.KeyUsagesExtension(x509.KeyUsageFlags.keyCertSign | x509.KeyUsageFlags.cRLSign, true),
      await x509.SubjectKeyIdentifierExtension.create(keys.publicKey),
    ],
  });
  return { certificate: certificate.toString('pem'), key: await keyPem(keys.privateKey) };
}

/** A certificate for the machine's names and addresses, signed by the authority. `names` is not empty. */
export async function newLeaf(authority: KeyPair, names: readonly string[], now: number): Promise<KeyPair> {
  const x509 = await library();
  const issuer = new x509.X509Certificate(authority.certificate);
  const keys = await newKeys();
  const certificate = await x509.X509CertificateGenerator.create({
    serialNumber: serialNumber(),
    subject: [{ CN: [names[0] ?? 'Yugator'] }],
    issuer: issuer.subjectName,
    ...period(now, LEAF_DAYS),
    signingAlgorithm: KEY,
    publicKey: keys.publicKey,
    signingKey: await keyOf(authority.key),
    extensions: [
      new x509.BasicConstraintsExtension(false, undefined, true),
      new x509.KeyUsagesExtension(x509.KeyUsageFlags.digitalSignature, true),
      new x509.ExtendedKeyUsageExtension([x509.ExtendedKeyUsage.serverAuth]),
      new x509.SubjectAlternativeNameExtension(
        names.map((name) => ({ type: isIP(name) ? ('ip' as const) : ('dns' as const), value: name })),
      ),
      await x509.SubjectKeyIdentifierExtension.create(keys.publicKey),
      await x509.AuthorityKeyIdentifierExtension.create(issuer.publicKey),
    ],
  });
  return { certificate: certificate.toString('pem'), key: await keyPem(keys.privateKey) };
}

async function read(certificate: string): Promise<X509Certificate> {
  const { X509Certificate } = await library();
  return new X509Certificate(certificate);
}

/** Until when a certificate holds, in ms since 1970. */
export async function endOf(certificate: string): Promise<number> {
  return (await read(certificate)).notAfter.getTime();
}

/** The names and addresses that a certificate is for. */
export async function namesIn(certificate: string): Promise<string[]> {
  const { SubjectAlternativeNameExtension } = await library();
  const names = (await read(certificate)).getExtension(SubjectAlternativeNameExtension);
  return (names?.names.items ?? []).map(({ value }) => value);
}

/** The SHA-256 of a certificate, as two and two figures: what people compare. */
export async function fingerprint(certificate: string): Promise<string> {
  const bytes = await (await read(certificate)).getThumbprint('SHA-256');
  return (Buffer.from(bytes).toString('hex').toUpperCase().match(/../g) ?? []).join(':');
}
