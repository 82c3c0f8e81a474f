import fastifyCookie from '@fastify/cookie';
import { NestFactory } from '@nestjs/core';
import { FastifyAdapter } from '@nestjs/platform-fastify';
import type { NestFastifyApplication } from '@nestjs/platform-fastify';
import type { Sequelize } from 'sequelize-typescript';
import { AppModule } from './app.module.js';
import type { Clock } from './clock/clock.js';
import { boundConnections, TIMES } from './gate/connections.js';
import { boundRoutes, guard } from './gate/frontGate.js';
import { KnownHosts } from './gate/knownHosts.js';
import { readJson } from './gate/readJson.js';
import { refuseAddress, refuseConnection } from './gate/refusals.js';
import { compress } from './gate/compress.js';
import { serveOpenApi } from './openapi/openApi.js';
import { Validation } from './problem/validation.js';
import { SetUpCode } from './session/setUpCode.js';
import { watchStorage } from './storage/watchStorage.js';
import type { Storage } from './storage/storage.js';
import { serveWeb } from './web/webPages.js';

export interface AppParts {
  readonly sequelize: Sequelize;
  /** where threads of their own find the same database */
  readonly databaseUrl: string;
  readonly clock: Clock;
  /** the built web; left out, only the API is served */
  readonly webFolder?: string;
  /** what the first crew lead has to type; left out, nobody can set Yugator up */
  readonly setUpCode?: string;
  /** the names that requests may come under; left out, those of loopback */
  readonly hosts?: KnownHosts;
  /** left out, TLS is somebody else's or nobody's */
  readonly tls?: { readonly certificate: string; readonly key: string };
  /** browsers are told to ask under TLS alone: only where everybody's trusts the certificate */
  readonly isStrictlySecure?: boolean;
  /** addresses of proxies whose word on the client's address is believed */
  readonly trustedProxies?: readonly string[];
  /** the disk that the database writes to, where it is ours; left out, it is not looked at */
  readonly storage?: Storage;
}

function adapter({ trustedProxies = [], tls }: AppParts): FastifyAdapter {
  return new FastifyAdapter({
    ...(tls ? { https: { cert: tls.certificate, key: tls.key, minVersion: 'TLSv1.2' as const } } : {}),
    // Live feeds stay open for hours; closing must not wait for them.
    forceCloseConnections: true,
    http: { connectionsCheckingInterval: TIMES.lookedAtEvery },
    trustProxy: trustedProxies.length ? [...trustedProxies] : false,
    frameworkErrors: refuseAddress,
    clientErrorHandler: refuseConnection,
    // A route names its own; see boundRoutes.
    handlerTimeout: TIMES.request,
  });
}

/** The application, ready to listen. */
export async function createApp(parts: AppParts): Promise<NestFastifyApplication> {
  const { webFolder, hosts = new KnownHosts([]), isStrictlySecure = false } = parts;
  const app = await NestFactory.create<NestFastifyApplication>(
    AppModule.over({ ...parts, setUpCode: new SetUpCode(parts.setUpCode ?? null) }),
    adapter(parts),
    { logger: ['error', 'warn'], abortOnError: false, bodyParser: false },
  );
  const fastify = app.getHttpAdapter().getInstance();
  boundConnections(fastify.server);
  boundRoutes(fastify);
  readJson(fastify);
  app.useGlobalPipes(new Validation());
  await app.register(fastifyCookie);
  guard(app, hosts, isStrictlySecure);
  if (parts.storage) watchStorage(fastify, parts.storage);
  await compress(app);
  await serveOpenApi(app);
  if (webFolder) await serveWeb(app, webFolder);
  await app.init();
  await fastify.ready();
  return app;
}
