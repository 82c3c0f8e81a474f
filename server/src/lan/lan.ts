import { Server as TlsServer } from 'node:https';
import type { NestFastifyApplication } from '@nestjs/platform-fastify';
import type { KnownHosts } from '../gate/knownHosts.js';
import { FrontDoor } from './frontDoor.js';
import type { LanCertificates } from './lanCertificates.js';
import { trustPage } from './trustPage.js';

const LOOKED_AT_MS = 3_600_000;

interface Parts {
  readonly app: NestFastifyApplication;
  readonly hosts: KnownHosts;
  readonly port: number;
  readonly siteName: string;
  readonly certificates: LanCertificates;
  /** reads the certificates anew */
  readonly renew: () => Promise<LanCertificates>;
  readonly onProblem: (problem: string) => void;
  /** whether an address is that of this machine; left out, loopback alone */
  readonly isOwn?: (address: string) => boolean;
}

/** An application served to the network under TLS, on all addresses of the machine. */
export class Lan {
  private constructor(
    private readonly door: FrontDoor,
    private readonly timer: NodeJS.Timeout,
    /** takes up new names and new certificates, as it does each hour */
    readonly look: () => Promise<void>,
  ) {}

  /** The port that it is served on. */
  get port(): number {
    return this.door.port;
  }

  static async serve({
    app,
    hosts,
    port,
    siteName,
    certificates,
    renew,
    onProblem,
    ...rest
  }: Parts): Promise<Lan> {
    const fastify = app.getHttpAdapter().getInstance();
    const secure: unknown = app.getHttpServer();
    if (!(secure instanceof TlsServer)) throw new Error('The application was made without TLS.');
    let now = certificates;
    hosts.know(now.names);
    const door = new FrontDoor({
      secure,
      own: (request, reply) => fastify.routing(request, reply),
      trust: (request, reply) => {
        const told = { ...now, port: door.port, siteName };
        trustPage(request, reply, told).catch((error: Error) => reply.destroy(error));
      },
      ...(rest.isOwn ? { isOwn: rest.isOwn } : {}),
    });
    await door.listen(port);
    const look = async (): Promise<void> => {
      try {
        const next = await renew();
        hosts.know(next.names);
        if (next.machine.certificate !== now.machine.certificate)
          secure.setSecureContext({ cert: next.machine.certificate, key: next.machine.key });
        now = next;
      } catch (error) {
        onProblem(
          `The certificate could not be renewed: ${error instanceof Error ? error.message : String(error)}`,
        );
      }
    };
    const timer = setInterval(() => void look(), LOOKED_AT_MS);
    timer.unref();
    return new Lan(door, timer, look);
  }

  async close(): Promise<void> {
    clearInterval(this.timer);
    await this.door.close();
  }
}
