import type { NestFastifyApplication } from '@nestjs/platform-fastify';
import { DocumentBuilder, SwaggerModule } from '@nestjs/swagger';
import type { OpenAPIObject } from '@nestjs/swagger';
import metadata from '@yugator/contracts/openapi';

/** The OpenAPI document of all routes, from their decorators and the classes in `contracts`. */
function openApiDocument(app: NestFastifyApplication): OpenAPIObject {
  const config = new DocumentBuilder()
    .setTitle('Yugator')
    .setDescription('Errors are problem details (RFC 9457). Every POST may carry an Idempotency-Key.')
    .setVersion('1')
    .addCookieAuth('yugator_session')
    .build();
  return SwaggerModule.createDocument(app, config);
}

/**
 * Serves the document at /api/openapi.json and a page to browse it at /api/docs. It is made when it is first asked for, which takes a
 * quarter of a second: few ever ask, and everybody waits for the start.
 */
export async function serveOpenApi(app: NestFastifyApplication): Promise<void> {
  await SwaggerModule.loadPluginMetadata(metadata);
  SwaggerModule.setup('api/docs', app, () => openApiDocument(app), { jsonDocumentUrl: 'api/openapi.json' });
}
