import { createServer } from 'node:net';
import { codeOf, StartError } from './startError.js';

/** Where something listens: for this machine itself, or on all its addresses. */
export type Where = 'loopback' | 'everywhere';

function listenOnce(port: number, where: Where = 'loopback'): Promise<number> {
  return new Promise((found, failed) => {
    const probe = createServer();
    probe.once('error', failed);
    probe.listen({ port, ...(where === 'loopback' ? { host: '127.0.0.1' } : {}) }, () => {
      const address = probe.address();
      probe.close(() =>
        address && typeof address === 'object' ? found(address.port) : failed(new Error('no port')),
      );
    });
  });
}

/** A port of the loopback interface that nothing listens on. */
export function freePort(): Promise<number> {
  return listenOnce(0);
}

/** Throws a {@link StartError} where `port` is taken or not allowed, there. */
export async function requireFreePort(port: number, where?: Where): Promise<void> {
  try {
    await listenOnce(port, where);
  } catch (error) {
    if (codeOf(error) === 'EADDRINUSE') {
      throw new StartError(
        `Port ${port} is busy. Stop what uses it, or start with another: ./start --port ${port + 1}`,
      );
    }
    if (codeOf(error) === 'EACCES') {
      throw new StartError(
        `Port ${port} is reserved for root. Start with one above 1023: ./start --port 8420`,
      );
    }
    throw error;
  }
}
