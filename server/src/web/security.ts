import helmet from '@fastify/helmet';
import type { NestFastifyApplication } from '@nestjs/platform-fastify';

/** The API's own pages bring inline styles; they run nothing of ours. */
const DOCS = '/api/docs';

/** Headers that keep foreign code, frames and sniffing out. The address is plain http on loopback, so nothing forces https. */
export async function secure(app: NestFastifyApplication): Promise<void> {
  await app.register(helmet, {
    enableCSPNonces: true,
    strictTransportSecurity: false,
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        defaultSrc: ["'self'"],
        scriptSrc: ["'self'"],
        styleSrc: ["'self'"],
        imgSrc: ["'self'", 'data:'],
        fontSrc: ["'self'"],
        connectSrc: ["'self'"],
        workerSrc: ["'self'"],
        objectSrc: ["'none'"],
        baseUri: ["'none'"],
        formAction: ["'self'"],
        frameAncestors: ["'none'"],
      },
    },
  });
  app
    .getHttpAdapter()
    .getInstance()
    .addHook('onSend', (request, reply, _payload, done) => {
      if (request.url.startsWith(DOCS)) {
        reply.header(
          'content-security-policy',
          "default-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data:; script-src 'self' 'unsafe-inline'; object-src 'none'; frame-ancestors 'none'",
        );
      }
      done();
    });
}
