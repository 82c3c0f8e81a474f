import type { Server } from 'node:http';
import type { Server as NetServer, Socket } from 'node:net';

/**
 * How long a connection may take, in milliseconds. The head must be there within ten seconds; the whole request within the time
 * that the slowest body may take ({@link TakesFile}), because each route holds its own body to less; an idle one is kept a little
 * longer than proxies keep theirs (common practice: 60 s).
 */
export const TIMES = { head: 10_000, request: 130_000, idle: 65_000, lookedAtEvery: 1_000 } as const;

/** A crew behind one address of a proxy or a shed's access point has fewer. */
const MOST_OF_ADDRESS = 256;
const MOST_IN_ALL = 2_048;

/** Lets no address hold more connections than a crew needs. */
export function boundAddresses(server: NetServer, most = MOST_OF_ADDRESS): void {
  const open = new Map<string, number>();
  server.maxConnections = MOST_IN_ALL;
  server.on('connection', (socket: Socket) => {
    const address = socket.remoteAddress ?? '';
    const count = (open.get(address) ?? 0) + 1;
    open.set(address, count);
    socket.once('close', () => {
      const left = (open.get(address) ?? 1) - 1;
      if (left > 0) open.set(address, left);
      else open.delete(address);
    });
    if (count > most) socket.destroy();
  });
}

/** The same, and none of them for longer than it may take, so that unfinished requests cannot use them up. */
export function boundConnections(server: Server, most = MOST_OF_ADDRESS): void {
  boundAddresses(server, most);
  server.headersTimeout = TIMES.head;
  server.requestTimeout = TIMES.request;
  server.keepAliveTimeout = TIMES.idle;
  server.maxHeadersCount = 100;
}
