import { instant } from '@yugator/core';
import type { Role } from '@yugator/contracts';
import type { NestFastifyApplication } from '@nestjs/platform-fastify';
import { SetClock } from '../clock/clock.js';
import { createApp } from '../createApp.js';
import { ROLES, TYPED_AGO, TYPED_BY } from '@yugator/contracts';
import { Person } from '../models/person.model.js';
import { Sessions } from '../session/sessions.js';
import { atTheEnd } from './atTheEnd.js';
import { DEVICE, seedCrew } from './seedCrew.js';
import type { Crew } from './seedCrew.js';
import { emptyTables, makeSchema, testDatabase } from './testDatabase.js';

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
  /** seconds since it was typed, as a device says of what waited; and who typed it */
  readonly ago?: number | string;
  readonly typedBy?: string;
}

/** A small crew and its application, with a clock that stands at noon on 13 May 2027. */
export interface Yard {
  readonly app: NestFastifyApplication;
  readonly clock: SetClock;
  readonly crew: Crew;
  readonly url: string;
  /** asks as the crew lead, if nobody else is named; `as: undefined` is nobody */
  ask<T = Record<string, unknown>>(method: string, path: string, asking?: Asking): Promise<Answer<T>>;
  /** signs everybody in anew, where their sessions were ended */
  renewTokens(): Promise<void>;
}

/** A yard over a database of its own. */
export interface TestApp extends Yard {
  /** a database as new, with a new crew, at noon again; in the time zone of the run, if no other is named */
  renew(timeZone?: string): Promise<void>;
  /** whether the models still lead to its database, and not to one that was connected later */
  isConnected(): boolean;
  close(): Promise<void>;
}

export const SET_UP_CODE = 'TEST-CODE';
export const NOON = instant('2027-05-13T11:00:00Z');

export async function testApp(timeZone?: string): Promise<TestApp> {
  const database = await testDatabase();
  await makeSchema(database.sequelize);
  const clock = new SetClock(NOON);
  let crew = await seedCrew(clock, timeZone);
  const app = await createApp({
    sequelize: database.sequelize,
    databaseUrl: database.url,
    clock,
    setUpCode: SET_UP_CODE,
  });
  return {
    app,
    clock,
    get crew() {
      return crew;
    },
    url: database.url,
    async ask<T>(method: string, path: string, asking: Asking = {}) {
      const role = 'as' in asking ? asking.as : 'crewLead';
      const response = await app.inject({
        method: method as 'GET',
        url: path,
        headers: {
          ...(role ? { cookie: `yugator_session=${crew.tokens[role]}` } : {}),
          ...(asking.cookie ? { cookie: asking.cookie } : {}),
          ...(asking.ago === undefined ? {} : { [TYPED_AGO]: String(asking.ago) }),
          ...(asking.typedBy ? { [TYPED_BY]: asking.typedBy } : {}),
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
    async renew(zone) {
      await emptyTables(database.sequelize);
      clock.set(NOON);
      crew = await seedCrew(clock, zone);
    },
    isConnected: () => Person.sequelize === database.sequelize,
    async close() {
      await app.close();
      await database.drop();
    },
  };
}

let shared: TestApp | undefined;

/** The application that files share which are run together. */
async function sharedApp(): Promise<TestApp> {
  if (!shared?.isConnected()) {
    const made = await testApp();
    atTheEnd(() => made.close());
    shared = made;
  }
  return shared;
}

/** An application over a database that is as new before each test of a file: the crew and nothing else. */
export function yardOfFile(timeZone?: string): Yard {
  let made: TestApp | undefined;
  const yard = () => {
    if (!made) throw new Error('The yard is there as soon as a test of this file runs.');
    return made;
  };
  beforeAll(async () => {
    made = await sharedApp();
  });
  beforeEach(() => yard().renew(timeZone));
  return {
    get app() {
      return yard().app;
    },
    get clock() {
      return yard().clock;
    },
    get crew() {
      return yard().crew;
    },
    get url() {
      return yard().url;
    },
    ask: (method, path, asking) => yard().ask(method, path, asking),
    renewTokens: () => yard().renewTokens(),
  };
}
