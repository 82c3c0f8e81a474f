import { hostname, networkInterfaces } from 'node:os';

const LOOPBACK = ['localhost', '127.0.0.1'];

/** A name as it may stand in an address: letters, figures, hyphens and points. */
export function isHostName(name: string): boolean {
  return (
    name.length <= 253 &&
    /^[a-z0-9]([a-z0-9-]{0,61}[a-z0-9])?(\.[a-z0-9]([a-z0-9-]{0,61}[a-z0-9])?)*$/.test(name)
  );
}

/** The addresses of this machine in its networks. */
export function ownAddresses(): string[] {
  return Object.values(networkInterfaces())
    .flatMap((addresses) => addresses ?? [])
    .filter(({ internal, family }) => !internal && family === 'IPv4')
    .map(({ address }) => address)
    .sort();
}

/** What this machine is reached by, the name to be told first: `named` or its own name, the same in the local network, and its addresses. */
export function machineNames(named: string | null): string[] {
  const own = hostname().toLowerCase();
  const names = [
    ...(named ? [named.toLowerCase()] : []),
    ...(isHostName(own) ? [own.includes('.') ? own : `${own}.local`, own] : []),
    ...ownAddresses(),
    ...LOOPBACK,
  ];
  return [...new Set(names)];
}
