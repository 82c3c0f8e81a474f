import { PATH_METADATA, METHOD_METADATA } from '@nestjs/common/constants.js';
import { RequestMethod } from '@nestjs/common';
import { DiscoveryService, MetadataScanner } from '@nestjs/core';
import { ROLES } from '@yugator/contracts';
import type { Role } from '@yugator/contracts';
import { testApp } from '../testing/testApp.js';
import type { TestApp } from '../testing/testApp.js';
import { ALLOWED, PUBLIC } from './allow.js';

let yard: TestApp;
beforeAll(async () => {
  yard = await testApp();
});
afterAll(() => yard.close());

interface Route {
  readonly method: string;
  readonly path: string;
  readonly isPublic: boolean;
  readonly roles: readonly Role[] | undefined;
}

/** Every route that a controller declares, read from the running application. */
function routes(): Route[] {
  const controllers = yard.app.get(DiscoveryService).getControllers();
  return controllers.flatMap(({ instance, metatype }) => {
    const prototype = Object.getPrototypeOf(instance) as Record<string, object>;
    const root = Reflect.getMetadata(PATH_METADATA, metatype as object) as string;
    return new MetadataScanner().getAllMethodNames(prototype).flatMap((name): Route[] => {
      const handler = prototype[name];
      const path: unknown = handler && Reflect.getMetadata(PATH_METADATA, handler);
      if (!handler || typeof path !== 'string') return [];
      const method = RequestMethod[Reflect.getMetadata(METHOD_METADATA, handler) as RequestMethod];
      return [
        {
          method,
          path: `/${root}/${path}`.replace(/\/+/g, '/').replace(/\/$/, '').replaceAll(/:\w+/g, 'x'),
          isPublic: Reflect.getMetadata(PUBLIC, handler) === true,
          roles: Reflect.getMetadata(ALLOWED, handler) as readonly Role[] | undefined,
        },
      ];
    });
  });
}

const OPEN_TO_ALL = [
  'GET /api/welcome',
  'GET /api/health',
  'POST /api/session',
  'DELETE /api/session',
  'POST /api/first-crew-lead',
];

/** What everybody may change: how things are shown to oneself. */
const OF_ONES_OWN = ['/api/session/units'];

describe('every route', () => {
  it('is found by this walk', () => {
    expect(routes().length).toBeGreaterThan(25);
  });

  it('states who may call it, and only the door is open to all', () => {
    const undecided = routes().filter(({ isPublic, roles }) => !isPublic && !roles?.length);
    expect(undecided).toEqual([]);
    const open = routes().filter(({ isPublic }) => isPublic);
    expect(open.map(({ method, path }) => `${method} ${path}`).sort()).toEqual(OPEN_TO_ALL.toSorted());
  });

  it('refuses whoever is not signed in', async () => {
    for (const { method, path } of routes().filter(({ isPublic }) => !isPublic)) {
      expect([path, (await yard.ask(method, path, { as: undefined as never })).status]).toEqual([path, 401]);
    }
  });

  it('refuses every role that it does not name, and changes nothing for a viewer', async () => {
    for (const { method, path, roles = [] } of routes().filter(({ isPublic }) => !isPublic)) {
      for (const role of ROLES.filter((candidate) => !roles.includes(candidate))) {
        expect([
          path,
          role,
          (await yard.ask(method, path, { as: role, body: method === 'GET' ? undefined : {} })).status,
        ]).toEqual([path, role, 403]);
      }
      if (method !== 'GET' && !OF_ONES_OWN.includes(path))
        expect([path, roles]).toEqual([path, expect.not.arrayContaining(['viewer'])]);
    }
  });
});
