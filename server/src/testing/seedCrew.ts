import { ROLES } from '@yugator/contracts';
import type { Role } from '@yugator/contracts';
import type { Component } from '@yugator/core';
import { v7 as uuid } from 'uuid';
import { Book, Item } from '../models/book.model.js';
import type { Clock } from '../clock/clock.js';
import { Machine, MachineBook } from '../models/machine.model.js';
import { MeterSegmentRow, ReadingRow } from '../models/meter.model.js';
import { Person } from '../models/person.model.js';
import { hashPassword } from '../session/password.js';
import { Sessions } from '../session/sessions.js';
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

async function seedMachine(tag: string, bookId: string, shown: number): Promise<string> {
  const id = uuid();
  const startsAt = new Date('2026-05-01T06:00:00Z');
  await Machine.create({
    id,
    tag,
    name: `Mower ${tag}`,
    machineClass: 'zeroTurn',
    make: 'Verrick',
    model: 'Z52',
    fuel: 'gasoline',
    shed: 'North shed',
    walkOrder: 1,
    inServiceOn: '2026-05-01',
    inServiceHours: 0,
    cameNew: true,
    version: 1,
    status: 'inService',
    serial: '',
    factsRevision: 1,
  });
  await MachineBook.create({ machineId: id, bookId });
  await MeterSegmentRow.create({
    id: uuid(),
    machineId: id,
    startsAt,
    hoursOffset: 0,
    kind: 'first',
    reason: '',
  });
  const reading = { machineId: id, source: 'round' as const, enteredById: null };
  await ReadingRow.bulkCreate([
    { ...reading, id: uuid(), readAt: startsAt, shown: 0 },
    { ...reading, id: uuid(), readAt: new Date('2027-05-10T15:00:00Z'), shown },
  ]);
  return id;
}

async function seedItem(
  bookId: string,
  name: string,
  components: readonly Component[],
  hours: number,
  place: number,
): Promise<string> {
  const id = uuid();
  await Item.create({
    id,
    bookId,
    name,
    minutes: 10 * (place + 1),
    place,
    renews: [],
    dropped: false,
    action: 'replace',
    components,
    oldWords: '',
    reference: '',
    note: '',
    triggers: [{ kind: 'everyHours', hours, meter: 'engine', grid: null }],
  });
  return id;
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
  const passwordHash = await HASH;
  const people = Object.fromEntries(ROLES.map((role) => [role, uuid()])) as Record<Role, string>;
  const sessions = new Sessions(clock);
  const tokens = {} as Record<Role, string>;
  for (const role of ROLES) {
    const person = await Person.create({
      id: people[role],
      name: role,
      role,
      passwordHash,
      active: true,
      version: 1,
    });
    tokens[role] = (await sessions.begin(person, DEVICE)).token;
  }
  const book = uuid();
  await Book.create({ id: book, name: 'Test book', machineClass: 'zeroTurn', meter: 'engine', version: 1 });
  const oil = await seedItem(book, 'Engine oil and filter', ['engineOil', 'engineOilFilter'], 50, 0);
  const grease = await seedItem(book, 'Grease all points', ['greasePoints'], 100, 1);
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
  const machine = await seedMachine('T-1', book, 60);
  const otherMachine = await seedMachine('T-2', book, 30);
  return { people, tokens, oil, grease, machine, otherMachine, kit, book };
}
