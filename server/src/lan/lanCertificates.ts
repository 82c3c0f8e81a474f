import { readFileSync } from 'node:fs';
import { namesIn } from './certificates.js';
import type { KeyPair } from './certificates.js';
import { CertificateStore } from './certificateStore.js';
import { machineNames } from './machineNames.js';

/** How Yugator is served to the network. */
export interface LanOptions {
  /** the name to be told, such as `yard.local`; null for the machine's own */
  readonly name: string | null;
  /** files of a certificate of the site's own making or buying; null where Yugator makes one */
  readonly own: { readonly certificate: string; readonly key: string } | null;
}

/** What TLS is spoken with now. */
export interface LanCertificates {
  readonly machine: KeyPair;
  /** null where the certificate is not of our making */
  readonly authority: KeyPair | null;
  readonly names: readonly string[];
}

/** The certificates for what the machine is called now: its own file, or of our making, renewed where need be. */
export async function lanCertificates(
  { name, own }: LanOptions,
  data: string,
  siteName: string,
  now: number,
): Promise<LanCertificates> {
  const names = machineNames(name);
  if (own) {
    const machine = {
      certificate: readFileSync(own.certificate, 'utf8'),
      key: readFileSync(own.key, 'utf8'),
    };
    const itsOwn = await namesIn(machine.certificate);
    return { machine, authority: null, names: [...new Set([...itsOwn, ...names])] };
  }
  const store = new CertificateStore(data);
  const authority = await store.authority(siteName, now);
  return { machine: await store.leaf(authority, names, now), authority, names };
}
