import { createServer } from 'node:net';
import { codeOf, StartError } from './startError.js';

function listenOnce(port: number, host = '127.0.0.1'): Promise<number> {
  return new Promise((found, failed) => {
    const probe = createServer();
    probe.once('error', failed);
    probe.listen(port, host, () => {
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

/** Throws a {@link StartError} where `port` is taken or not allowed, on loopback or on `host`. */
export async function requireFreePort(port: number, host?: string): Promise<void> {
  try {
    await listenOnce(port, host);
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
