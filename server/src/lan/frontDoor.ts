import { createServer as createHttpServer } from 'node:http';
import type { IncomingMessage, RequestListener, ServerResponse } from 'node:http';
import { createServer } from 'node:net';
import type { Server, Socket } from 'node:net';
import type { Server as TlsServer } from 'node:https';
import { boundAddresses, boundConnections, TIMES } from '../gate/connections.js';

/** The first byte of a TLS handshake record (RFC 8446, 5.1). */
const HANDSHAKE = 0x16;

const LOOPBACK = new Set(['127.0.0.1', '::1', '::ffff:127.0.0.1']);

/** Whether somebody asks from this machine itself. */
function isOwnAddress(address: string): boolean {
  return LOOPBACK.has(address);
}

export interface Rooms {
  /** what is served under TLS */
  readonly secure: TlsServer;
  /** the same without TLS: for this machine itself alone */
  readonly own: RequestListener;
  /** what everybody else is told without TLS */
  readonly trust: RequestListener;
  /** whether an address is that of this machine; left out, loopback alone */
  readonly isOwn?: (address: string) => boolean;
}

/**
 * One port for both: what begins with a handshake goes on under TLS; what does not is told how to, unless it comes from this machine
 * itself. People type an address without `https`, and must not find nothing there.
 */
export class FrontDoor {
  private readonly door: Server;
  private readonly plain: ReturnType<typeof createHttpServer>;
  private readonly open = new Set<Socket>();

  constructor({ secure, own, trust, isOwn = isOwnAddress }: Rooms) {
    this.plain = createHttpServer((request: IncomingMessage, reply: ServerResponse) =>
      isOwn(request.socket.remoteAddress ?? '') ? own(request, reply) : trust(request, reply),
    );
    boundConnections(this.plain);
    this.door = createServer({ pauseOnConnect: true }, (socket) => this.receive(socket, secure));
    boundAddresses(this.door);
  }

  /** Listens on all addresses of the machine: those of IPv6 too, where it has any. */
  listen(port: number): Promise<void> {
    return new Promise((listening, failed) => {
      this.door.once('error', failed);
      this.door.listen(port, () => listening());
    });
  }

  /** The port that it listens on; 0 while it does not. */
  get port(): number {
    const address = this.door.address();
    return address && typeof address === 'object' ? address.port : 0;
  }

  close(): Promise<void> {
    for (const socket of this.open) socket.destroy();
    return new Promise((closed) => this.door.close(() => closed()));
  }

  private receive(socket: Socket, secure: TlsServer): void {
    this.open.add(socket);
    socket.once('close', () => this.open.delete(socket));
    // Whoever goes away without a word is gone; nobody waits for them.
    socket.on('error', () => socket.destroy());
    socket.setTimeout(TIMES.head, () => socket.destroy());
    socket.once('data', (bytes) => {
      socket.pause();
      socket.setTimeout(0);
      socket.unshift(bytes);
      const room = bytes[0] === HANDSHAKE ? secure : this.plain;
      room.emit('connection', socket);
      // Whoever took it over reads from what was put back.
      process.nextTick(() => socket.resume());
    });
    socket.resume();
  }
}
