import { instant } from '@yugator/core';
import type { Role } from '@yugator/contracts';
import type { NestFastifyApplication } from '@nestjs/platform-fastify';
import { SetClock } from '../clock/clock.js';
import { createApp } from '../createApp.js';
import { ROLES } from '@yugator/contracts';
import { Person } from '../models/person.model.js';
import { Sessions } from '../session/sessions.js';
import { DEVICE, seedCrew } from './seedCrew.js';
import type { Crew } from './seedCrew.js';
import { makeSchema, testDatabase } from './testDatabase.js';

interface Answer<T = Record<string, unknown>> {
  readonly status: number;
  readonly body: T;
  readonly headers: Record<string, string | string[] | number | undefined>;
}

interface Asking {
  readonly as?: Role;
  readonly body?: unknown;
  readonly key?: string;
  /** in place of the role's own */
  readonly cookie?: string;
}

/** The application over a database of its own, with a small crew and a clock that stands at noon on 13 May 2027. */
export interface TestApp {
  readonly app: NestFastifyApplication;
  readonly clock: SetClock;
  readonly crew: Crew;
  readonly url: string;
  /** asks as the crew lead, if nobody else is named; `as: undefined` is nobody */
  ask<T = Record<string, unknown>>(method: string, path: string, asking?: Asking): Promise<Answer<T>>;
  /** signs everybody in anew, where their sessions were ended */
  renewTokens(): Promise<void>;
  close(): Promise<void>;
}

export const SET_UP_CODE = 'TEST-CODE';
export const NOON = instant('2027-05-13T11:00:00Z');

export async function testApp(timeZone?: string): Promise<TestApp> {
  const database = await testDatabase();
  await makeSchema(database.sequelize);
  const clock = new SetClock(NOON);
  const crew = await seedCrew(clock, timeZone);
  const app = await createApp({
    sequelize: database.sequelize,
    databaseUrl: database.url,
    clock,
    setUpCode: SET_UP_CODE,
  });
  return {
    app,
    clock,
    crew,
    url: database.url,
    async ask<T>(method: string, path: string, asking: Asking = {}) {
      const role = 'as' in asking ? asking.as : 'crewLead';
      const response = await app.inject({
        method: method as 'GET',
        url: path,
        headers: {
          ...(role ? { cookie: `yugator_session=${crew.tokens[role]}` } : {}),
          ...(asking.cookie ? { cookie: asking.cookie } : {}),
          ...(asking.key ? { 'idempotency-key': asking.key } : {}),
          ...(asking.body === undefined ? {} : { 'content-type': 'application/json' }),
        },
        ...(asking.body === undefined ? {} : { payload: JSON.stringify(asking.body) }),
      });
      const isJson = String(response.headers['content-type'] ?? '').includes('json');
      return {
        status: response.statusCode,
        body: (isJson ? response.json() : response.body) as T,
        headers: response.headers,
      };
    },
    async renewTokens() {
      const sessions = new Sessions(clock);
      for (const role of ROLES) {
        const person = await Person.findByPk(crew.people[role], { rejectOnEmpty: true });
        if (!(await sessions.find(crew.tokens[role])))
          crew.tokens[role] = (await sessions.begin(person, DEVICE)).token;
      }
    },
    async close() {
      await app.close();
      await database.drop();
    },
  };
}
