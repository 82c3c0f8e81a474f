import fastifyCookie from '@fastify/cookie';
import { NestFactory } from '@nestjs/core';
import { FastifyAdapter } from '@nestjs/platform-fastify';
import type { NestFastifyApplication } from '@nestjs/platform-fastify';
import type { Sequelize } from 'sequelize-typescript';
import { AppModule } from './app.module.js';
import type { Clock } from './clock/clock.js';
import { serveOpenApi } from './openapi/openApi.js';
import { validation } from './problem/validation.js';
import { secure } from './web/security.js';
import { serveWeb } from './web/webPages.js';

/** The file of a thousand machines with years of readings fits. */
const BODY_LIMIT_BYTES = 24 * 1024 * 1024;

interface AppParts {
  readonly sequelize: Sequelize;
  readonly clock: Clock;
  /** the built web; left out, only the API is served */
  readonly webFolder?: string;
}

/** The application, ready to listen. */
export async function createApp({ sequelize, clock, webFolder }: AppParts): Promise<NestFastifyApplication> {
  const app = await NestFactory.create<NestFastifyApplication>(
    AppModule.over(sequelize, clock),
    // Live feeds stay open for hours; closing must not wait for them.
    new FastifyAdapter({ forceCloseConnections: true, bodyLimit: BODY_LIMIT_BYTES }),
    { logger: ['error', 'warn'], abortOnError: false },
  );
  app.useGlobalPipes(validation());
  await app.register(fastifyCookie);
  await secure(app);
  await serveOpenApi(app);
  if (webFolder) await serveWeb(app, webFolder);
  await app.init();
  await app.getHttpAdapter().getInstance().ready();
  return app;
}
