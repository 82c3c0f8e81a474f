import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { METHOD_METADATA, PATH_METADATA } from '@nestjs/common/constants.js';
import { RequestMethod } from '@nestjs/common';
import { DiscoveryService, MetadataScanner } from '@nestjs/core';
import type { OpenAPIObject } from '@nestjs/swagger';
import { ROLES } from '@yugator/contracts';
import type { Role } from '@yugator/contracts';
import { NOBODY } from '../testing/pictures.js';
import { testApp } from '../testing/testApp.js';
import type { TestApp } from '../testing/testApp.js';

let yard: TestApp;
beforeAll(async () => {
  yard = await testApp();
});
afterAll(() => yard.close());

type Asker = Role | 'nobody';
const ASKERS: readonly Asker[] = [...ROLES, 'nobody'];

/** A route as docs/security.md has it: who may call it. */
interface Promised {
  readonly route: string;
  readonly may: readonly Asker[];
}

/** The role table of docs/security.md: a route, and a mark for each who may call it. */
function promised(): Promised[] {
  const text = readFileSync(resolve(__dirname, '../../../docs/security.md'), 'utf8');
  return [...text.matchAll(/^\| `((?:GET|POST|PUT|DELETE) \/api[^`]*)` *\|(.+)\|$/gm)].map(
    ([, route = '', marks = '']) => ({
      route,
      may: ASKERS.filter((_, index) => marks.split('|')[index]?.trim() === 'yes'),
    }),
  );
}

/** Every route that a controller declares, read from the running application. */
function declared(): string[] {
  const controllers = yard.app.get(DiscoveryService).getControllers();
  return controllers.flatMap(({ instance, metatype }) => {
    const prototype = Object.getPrototypeOf(instance) as Record<string, object>;
    const root = Reflect.getMetadata(PATH_METADATA, metatype as object) as string;
    return new MetadataScanner().getAllMethodNames(prototype).flatMap((name) => {
      const handler = prototype[name];
      const path: unknown = handler && Reflect.getMetadata(PATH_METADATA, handler);
      if (!handler || typeof path !== 'string') return [];
      const method = RequestMethod[Reflect.getMetadata(METHOD_METADATA, handler) as RequestMethod];
      const whole = `/${root}/${path}`.replace(/\/+/g, '/').replace(/\/$/, '');
      return [`${method} ${whole.replaceAll(/:(\w+)/g, '{$1}')}`];
    });
  });
}

/** Whether the gate lets somebody through; what the route then says of an empty request is another matter. */
async function isLetThrough(route: string, asker: Asker): Promise<boolean> {
  const [method = '', path = ''] = route.split(' ');
  const url = path.replaceAll(/\{(\w+)\}/g, NOBODY);
  if (url === '/api/live') return (await headOfLive(asker)) === 200;
  const { status } = await yard.ask(method, url, {
    as: asker === 'nobody' ? (undefined as never) : asker,
    ...(method === 'GET' || method === 'DELETE' ? {} : { body: {} }),
  });
  return status !== 401 && status !== 403;
}

/** A live feed never ends, so only its head is waited for. */
async function headOfLive(asker: Asker): Promise<number> {
  if (!yard.app.getHttpServer().listening) await yard.app.listen(0, '127.0.0.1');
  const stop = new AbortController();
  const { status } = await fetch(`${await yard.app.getUrl()}/api/live`, {
    headers: asker === 'nobody' ? {} : { cookie: `yugator_session=${yard.crew.tokens[asker]}` },
    signal: stop.signal,
  });
  stop.abort();
  return status;
}

/** Signing out comes last: it ends the sessions that the walk asks under. */
function inOrder(routes: readonly Promised[]): readonly Promised[] {
  return routes.toSorted(
    (a, b) => Number(a.route === 'DELETE /api/session') - Number(b.route === 'DELETE /api/session'),
  );
}

describe('every route', () => {
  it('stands in the role table, in the OpenAPI document and in a controller', async () => {
    const { body } = await yard.ask<OpenAPIObject>('GET', '/api/openapi.json');
    const documented = Object.entries(body.paths).flatMap(([path, methods]) =>
      Object.keys(methods).map((method) => `${method.toUpperCase()} ${path}`),
    );
    expect(documented.length).toBeGreaterThan(60);
    expect(documented.sort()).toEqual(declared().sort());
    expect(
      promised()
        .map(({ route }) => route)
        .filter((route) => !/docs|openapi/.test(route))
        .sort(),
    ).toEqual(documented.sort());
  });

  it('lets through whom the table says, and nobody else', async () => {
    const wrong: string[] = [];
    for (const { route, may } of inOrder(promised())) {
      for (const asker of ASKERS) {
        const is = await isLetThrough(route, asker);
        if (is !== may.includes(asker))
          wrong.push(`${route} for ${asker}: ${is ? 'let through' : 'refused'}`);
      }
    }
    expect(wrong).toEqual([]);
  });

  it('changes nothing for a viewer but what is their own', () => {
    const ofViewers = promised()
      .filter(({ route, may }) => may.includes('viewer') && !route.startsWith('GET '))
      .map(({ route }) => route);
    expect(ofViewers.sort()).toEqual([
      'DELETE /api/session',
      'DELETE /api/session/all/{id}',
      'POST /api/first-crew-lead',
      'POST /api/session',
      'POST /api/shed/session',
      'PUT /api/session/password',
      'PUT /api/session/units',
    ]);
  });
});
