import { ROLES } from '@yugator/contracts';
import type { Role } from '@yugator/contracts';
import type { Component } from '@yugator/core';
import { v7 as uuid } from 'uuid';
import { Book, Item } from '../models/book.model.js';
import type { Clock } from '../clock/clock.js';
import { Machine, MachineBook } from '../models/machine.model.js';
import { MeterSegmentRow, ReadingRow } from '../models/meter.model.js';
import { Person } from '../models/person.model.js';
import { Session } from '../models/session.model.js';
import { hashPassword } from '../session/password.js';
import { newSession } from '../session/sessions.js';
import { Article, ItemArticleRow, Movement } from '../models/shelf.model.js';
import { Site, SITE_DEFAULTS } from '../models/site.model.js';

export const PASSWORD = 'a short sentence';
/** Slow on purpose, and the same for everybody. */
const HASH = hashPassword(PASSWORD);
export const DEVICE = { device: 'A program', address: '127.0.0.1', isOwnDevice: false };

/** Ids and tokens of the small crew that server tests work with. */
export interface Crew {
  readonly people: Record<Role, string>;
  tokens: Record<Role, string>;
  readonly oil: string;
  readonly grease: string;
  /** T-1 came new on 1 May 2026 and showed 60.0 h on 10 May 2027; the other, T-2, likewise 30.0 h */
  readonly machine: string;
  readonly otherMachine: string;
  readonly kit: string;
  readonly book: string;
}

/** Two machines on one book, each with a first reading on 1 May 2026 and what it showed on 10 May 2027. */
async function seedMachines(bookId: string, shown: Readonly<Record<string, number>>): Promise<string[]> {
  const startsAt = new Date('2026-05-01T06:00:00Z');
  const machines = Object.entries(shown).map(([tag, hours]) => ({ id: uuid(), tag, hours }));
  await Machine.bulkCreate(
    machines.map(({ id, tag }) => ({
      id,
      tag,
      name: `Mower ${tag}`,
      machineClass: 'zeroTurn' as const,
      make: 'Verrick',
      model: 'Z52',
      fuel: 'gasoline' as const,
      shed: 'North shed',
      walkOrder: 1,
      inServiceOn: '2026-05-01',
      inServiceHours: 0,
      cameNew: true,
      version: 1,
      status: 'inService' as const,
      serial: '',
      factsRevision: 1,
    })),
  );
  await MachineBook.bulkCreate(machines.map(({ id: machineId }) => ({ machineId, bookId })));
  await MeterSegmentRow.bulkCreate(
    machines.map(({ id: machineId }) => ({
      id: uuid(),
      machineId,
      startsAt,
      hoursOffset: 0,
      kind: 'first' as const,
      reason: '',
    })),
  );
  await ReadingRow.bulkCreate(
    machines.flatMap(({ id: machineId, hours }) => {
      const reading = { machineId, source: 'round' as const, enteredById: null };
      return [
        { ...reading, id: uuid(), readAt: startsAt, shown: 0 },
        { ...reading, id: uuid(), readAt: new Date('2027-05-10T15:00:00Z'), shown: hours },
      ];
    }),
  );
  return machines.map(({ id }) => id);
}

interface SeedItem {
  readonly name: string;
  readonly components: readonly Component[];
  readonly hours: number;
}

async function seedItems(bookId: string, items: readonly SeedItem[]): Promise<string[]> {
  const rows = items.map(({ name, components, hours }, place) => ({
    id: uuid(),
    bookId,
    name,
    minutes: 10 * (place + 1),
    place,
    renews: [],
    dropped: false,
    action: 'replace' as const,
    components,
    oldWords: '',
    reference: '',
    note: '',
    triggers: [{ kind: 'everyHours' as const, hours, meter: 'engine' as const, grid: null }],
  }));
  await Item.bulkCreate(rows);
  return rows.map(({ id }) => id);
}

/** One person of each role, signed in. */
async function seedPeople(clock: Clock): Promise<Pick<Crew, 'people' | 'tokens'>> {
  const people = perRole(() => uuid());
  const sessions = perRole((role) =>
    newSession(people[role], DEVICE, clock.now(), SITE_DEFAULTS.sessionIdleDays),
  );
  const passwordHash = await HASH;
  await Person.bulkCreate(
    ROLES.map((role) => ({ id: people[role], name: role, role, passwordHash, active: true, version: 1 })),
  );
  await Session.bulkCreate(ROLES.map((role) => sessions[role].row));
  return { people, tokens: perRole((role) => sessions[role].token) };
}

function perRole<T>(make: (role: Role) => T): Record<Role, T> {
  return Object.fromEntries(ROLES.map((role) => [role, make(role)])) as Record<Role, T>;
}

/** The zone that the shed lies in, where a test asks for none: that of the run, see scripts/test.mjs. */
const ZONE = process.env['TEST_TIME_ZONE'] ?? 'Europe/London';

/** Writes a site, one person of each role, two machines on one book, and a kit of which five are on the shelf. */
export async function seedCrew(clock: Clock, timeZone: string = ZONE): Promise<Crew> {
  await Site.create({
    id: uuid(),
    name: 'Test yard',
    timeZone,
    currency: 'GBP',
    demonstration: false,
    ...SITE_DEFAULTS,
  });
  const { people, tokens } = await seedPeople(clock);
  const book = uuid();
  await Book.create({ id: book, name: 'Test book', machineClass: 'zeroTurn', meter: 'engine', version: 1 });
  const [oil = '', grease = ''] = await seedItems(book, [
    { name: 'Engine oil and filter', components: ['engineOil', 'engineOilFilter'], hours: 50 },
    { name: 'Grease all points', components: ['greasePoints'], hours: 100 },
  ]);
  const kit = uuid();
  await Article.create({
    id: kit,
    name: 'Oil change kit',
    kind: 'kit',
    unit: 'piece',
    leastOnHand: 2,
    priceMinor: 2890,
  });
  await ItemArticleRow.create({ itemId: oil, articleId: kit, quantity: 1 });
  await Movement.create({
    id: uuid(),
    articleId: kit,
    kind: 'received',
    quantity: 5,
    valueMinor: 5 * 2890,
    leftQuantity: 5,
    leftMinor: 5 * 2890,
    note: '',
    movedAt: new Date('2027-05-01T08:00:00Z'),
  });
  const [machine = '', otherMachine = ''] = await seedMachines(book, { 'T-1': 60, 'T-2': 30 });
  return { people, tokens, oil, grease, machine, otherMachine, kit, book };
}
