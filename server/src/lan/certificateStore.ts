import { createPrivateKey, X509Certificate } from 'node:crypto';
import { chmodSync, existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { endOf, namesIn, newAuthority, newLeaf } from './certificates.js';
import type { KeyPair } from './certificates.js';

const DAY_MS = 86_400_000;
/** Renewed so long before its end that a machine that stands all winter still has a good one. */
const RENEWED_BEFORE_MS = 150 * DAY_MS;

function read(folder: string, name: string): KeyPair | null {
  const [certificate, key] = [join(folder, `${name}.pem`), join(folder, `${name}.key.pem`)];
  if (!existsSync(certificate) || !existsSync(key)) return null;
  return { certificate: readFileSync(certificate, 'utf8'), key: readFileSync(key, 'utf8') };
}

/** Each file is there whole or not at all, and its key before it: a crash between them leaves a certificate that is made anew. */
function write(folder: string, name: string, { certificate, key }: KeyPair): void {
  for (const [file, text] of [
    [`${name}.key.pem`, key],
    [`${name}.pem`, certificate],
  ] as const) {
    const path = join(folder, file);
    writeFileSync(`${path}.new`, text, { mode: 0o600 });
    renameSync(`${path}.new`, path);
  }
}

async function holds({ certificate }: KeyPair, names: readonly string[], now: number): Promise<boolean> {
  const known = new Set(await namesIn(certificate));
  return (await endOf(certificate)) - now > RENEWED_BEFORE_MS && names.every((name) => known.has(name));
}

/** Whether a certificate and its key belong together, and the authority vouches for it. */
function isSignedBy(leaf: KeyPair, authority: KeyPair): boolean {
  const certificate = new X509Certificate(leaf.certificate);
  const issuer = new X509Certificate(authority.certificate);
  return certificate.verify(issuer.publicKey) && certificate.checkPrivateKey(createPrivateKey(leaf.key));
}

/** The certificates of a site, kept in its data folder; keys are for nobody else to read. */
export class CertificateStore {
  private readonly folder: string;

  constructor(data: string) {
    this.folder = join(data, 'tls');
    mkdirSync(this.folder, { recursive: true, mode: 0o700 });
    chmodSync(this.folder, 0o700);
  }

  /** The authority of the site: the same one for ten years, so that phones need to be told once. */
  async authority(name: string, now: number): Promise<KeyPair> {
    const known = read(this.folder, 'authority');
    if (known && (await endOf(known.certificate)) > now) return known;
    const made = await newAuthority(name, now);
    write(this.folder, 'authority', made);
    return made;
  }

  /** A certificate for `names` that holds for months: the one that is there, or a new one. */
  async leaf(authority: KeyPair, names: readonly string[], now: number): Promise<KeyPair> {
    const known = read(this.folder, 'machine');
    if (known && (await holds(known, names, now)) && isSignedBy(known, authority)) return known;
    const made = await newLeaf(authority, names, now);
    write(this.folder, 'machine', made);
    return made;
  }
}
