import type { NestFastifyApplication } from '@nestjs/platform-fastify';
import { DocumentBuilder, SwaggerModule } from '@nestjs/swagger';
import type { OpenAPIObject } from '@nestjs/swagger';
import metadata from '@yugator/contracts/openapi';
import { SESSION_COOKIE } from '../session/cookie.js';

/** The OpenAPI document of all routes, from their decorators and the classes in `contracts`. */
export async function openApiDocument(app: NestFastifyApplication): Promise<OpenAPIObject> {
  await SwaggerModule.loadPluginMetadata(metadata);
  const config = new DocumentBuilder()
    .setTitle('Yugator')
    .setDescription('Errors are problem details (RFC 9457). Every POST may carry an Idempotency-Key.')
    .setVersion('1')
    .addCookieAuth(SESSION_COOKIE)
    .build();
  return SwaggerModule.createDocument(app, config);
}

/** Serves the document at /api/openapi.json and a page to browse it at /api/docs. */
export async function serveOpenApi(app: NestFastifyApplication): Promise<void> {
  const document = await openApiDocument(app);
  SwaggerModule.setup('api/docs', app, document, { jsonDocumentUrl: 'api/openapi.json' });
}
