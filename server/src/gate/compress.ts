import { constants } from 'node:zlib';
import fastifyCompress from '@fastify/compress';
import type { NestFastifyApplication } from '@nestjs/platform-fastify';
import { EntityTag, hasTag } from './entityTag.js';

/** What fits into one packet is not made smaller. */
const LEAST_BYTES = 1_024;
/** Nearly as small as the best, in a tenth of the time: this is done for every answer. Files are prepared at the build. */
const BROTLI_QUALITY = 4;
const GZIP_LEVEL = 6;

/** Answers of the API carry an ETag and come compressed, as the client takes it; whoever has the same already gets none (304). */
export async function compress(app: NestFastifyApplication): Promise<void> {
  const fastify = app.getHttpAdapter().getInstance();
  fastify.addHook('onSend', (request, reply, payload, done) => {
    const isWhole = typeof payload === 'string' || Buffer.isBuffer(payload);
    if (request.method !== 'GET' || reply.statusCode !== 200 || !isWhole || reply.hasHeader('etag')) {
      done(null, payload);
      return;
    }
    const tag = new EntityTag().add(payload).end();
    reply.header('etag', tag);
    if (!hasTag(request.headers['if-none-match'], tag)) done(null, payload);
    else {
      reply.code(304).removeHeader('content-type').removeHeader('content-length');
      done(null, null);
    }
  });
  await app.register(fastifyCompress, {
    threshold: LEAST_BYTES,
    encodings: ['br', 'gzip'],
    globalDecompression: false,
    brotliOptions: { params: { [constants.BROTLI_PARAM_QUALITY]: BROTLI_QUALITY } },
    zlibOptions: { level: GZIP_LEVEL },
  });
}
