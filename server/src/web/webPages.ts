import { randomBytes } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import fastifyStatic from '@fastify/static';
import type { FastifyStaticOptions } from '@fastify/static';
import type { NestFastifyApplication } from '@nestjs/platform-fastify';
import type { FastifyReply, FastifyRequest } from 'fastify';
import { pagePolicy, SOLVER_POLICY } from '../gate/securityHeaders.js';

const NONCE = '__CSP_NONCE__';
const YEAR_SECONDS = 365 * 86_400;

/** What keeps its name when it changes: the worker that keeps the application on a device, and what it is called there. */
const RENEWED = /[/\\](serviceWorker\.js|manifest\.webmanifest)(\.(br|gz))?$/;

/** The workers that solve: what to buy, and the season plan. */
const SOLVER = /[/\\](buying|plan)Worker-[\w-]+\.js(\.(br|gz))?$/;

function wantsPage(request: FastifyRequest): boolean {
  return (
    request.method === 'GET' &&
    !request.url.startsWith('/api') &&
    (request.headers.accept ?? '').includes('text/html')
  );
}

/**
 * Serves the built web from `folder`: files under /assets for good, compressed as the build prepared them, and for every other
 * address the page, with a fresh nonce for its styles.
 */
export async function serveWeb(app: NestFastifyApplication, folder: string): Promise<void> {
  const index = join(folder, 'index.html');
  if (!existsSync(index)) throw new Error(`The web is not built: ${index} is missing. Run npm run build.`);
  const page = readFileSync(index, 'utf8');
  const fastify = app.getHttpAdapter().getInstance();
  const kept: FastifyStaticOptions = {
    root: folder,
    index: false,
    preCompressed: true,
    dotfiles: 'ignore',
    maxAge: YEAR_SECONDS * 1000,
    immutable: true,
    setHeaders: (reply, path) => {
      if (RENEWED.test(path)) void reply.header('cache-control', 'no-cache');
      if (SOLVER.test(path)) void reply.header('content-security-policy', SOLVER_POLICY);
    },
  };
  // A route for each of the few that stand beside the page, so that every other address is the page's; one for the hundreds below.
  await app.register(fastifyStatic, { ...kept, wildcard: false, globIgnore: ['assets/**'] });
  const assets = { root: join(folder, 'assets'), prefix: '/assets/', decorateReply: false };
  await app.register(fastifyStatic, { ...kept, ...assets });
  const send = (_request: FastifyRequest, reply: FastifyReply) => {
    const nonce = randomBytes(16).toString('hex');
    return reply
      .headers({ 'cache-control': 'no-store', 'content-security-policy': pagePolicy(nonce) })
      .type('text/html')
      .send(page.replaceAll(NONCE, nonce));
  };
  fastify.get('/', send);
  fastify.addHook('onRequest', (request, reply, done) => {
    if (request.is404 && wantsPage(request)) void send(request, reply);
    else done();
  });
}
