import { civilDateAt } from '@yugator/core';
import type { CivilDate, Instant } from '@yugator/core';
import type { Role } from '@yugator/contracts';
import type { Sequelize } from 'sequelize-typescript';
import { v7 as uuid } from 'uuid';
import { Book, Item, ItemTrigger } from '../books/book.model.js';
import { BookCatalogue } from '../books/bookCatalogue.js';
import { toScheduleItem } from '../books/toScheduleItem.js';
import { Machine, MachineBook } from '../machine/machine.model.js';
import { MeterSegmentRow, ReadingRow } from '../meter/meter.model.js';
import { Person } from '../people/person.model.js';
import { Declaration } from '../schedule/declaration.model.js';
import { hashPassword } from '../session/password.js';
import { Site } from '../site/site.model.js';
import { DemoJobs } from './demoJobs.js';
import { CURRENCY, MACHINES, TIME_ZONE } from './larkmere.js';
import type { DemoMachine } from './larkmere.js';
import { machineHistory } from './machineHistory.js';
import type { DemoHistory } from './machineHistory.js';
import { random } from './random.js';

const PASSWORD = 'larkmere-shed';
const SEED = 20_270_513;

export const DEMONSTRATION_SIGN_INS: readonly { name: string; role: Role; password: string }[] = [
  { name: 'Marit Osgood', role: 'crewLead', password: PASSWORD },
  { name: 'Ansel Pike', role: 'mechanic', password: PASSWORD },
  { name: 'Dru Halloway', role: 'operator', password: PASSWORD },
  { name: 'Parks office', role: 'viewer', password: PASSWORD },
];

interface Crew {
  readonly lead: string;
  readonly mechanic: string;
  readonly operator: string;
}

async function loadPeople(): Promise<Crew> {
  const people = DEMONSTRATION_SIGN_INS.map((person) => ({
    ...person,
    id: uuid(),
    active: true,
    version: 1,
  }));
  const hashes = await Promise.all(people.map((person) => hashPassword(person.password)));
  await Person.bulkCreate(
    people.map(({ id, name, role, active, version }, index) => ({
      id,
      name,
      role,
      active,
      version,
      passwordHash: hashes[index],
    })),
  );
  const idOf = (role: Role) => people.find((person) => person.role === role)?.id ?? '';
  return { lead: idOf('crewLead'), mechanic: idOf('mechanic'), operator: idOf('operator') };
}

async function loadMachine(
  machine: DemoMachine,
  walkOrder: number,
  bookId: string,
  history: DemoHistory,
  crew: Crew,
): Promise<string> {
  const id = uuid();
  const { tag, name, machineClass, make, model, fuel, shed } = machine;
  const { entry } = history;
  await Machine.create({
    ...{ id, tag, name, machineClass, make, model, fuel, shed, walkOrder },
    ...{ inServiceOn: entry.on, inServiceHours: entry.life, cameNew: entry.cameNew, version: 1 },
  });
  await MachineBook.create({ machineId: id, bookId });
  await MeterSegmentRow.bulkCreate(
    history.segments.map(({ startsAt, offset }) => ({
      id: uuid(),
      machineId: id,
      startsAt: new Date(startsAt),
      hoursOffset: offset,
    })),
  );
  await ReadingRow.bulkCreate(
    history.readings.map(({ at, shown, voided }) => ({
      ...{
        id: uuid(),
        machineId: id,
        readAt: new Date(at),
        shown,
        source: 'round',
        enteredById: crew.operator,
      },
      ...(voided
        ? { voidedAt: new Date(at + 120_000), voidedById: crew.lead, voidReason: 'A digit too many' }
        : {}),
    })),
  );
  await Declaration.bulkCreate(
    history.declared.map(({ itemId, on, life }) => ({
      ...{ id: uuid(), machineId: id, itemId, doneOn: on, life, note: 'From the shed calendar' },
      ...{ declaredAt: new Date(history.readings[0]?.at ?? 0), declaredById: crew.lead },
    })),
  );
  return id;
}

async function load(today: CivilDate): Promise<void> {
  await Site.create({
    id: uuid(),
    name: 'Larkmere Parks',
    timeZone: TIME_ZONE,
    currency: CURRENCY,
    demonstration: true,
  });
  const crew = await loadPeople();
  await new BookCatalogue().load();
  const books = await Book.findAll({ include: { model: Item, include: [ItemTrigger] } });
  const jobs = new DemoJobs(books, crew.mechanic, crew.lead);
  for (const [index, machine] of MACHINES.entries()) {
    const book = books.find((candidate) => candidate.name === machine.book);
    if (!book)
      throw new Error(`${machine.tag} follows "${machine.book}", which is not among the shipped books.`);
    const items = (book.items ?? []).toSorted((a, b) => a.place - b.place).map(toScheduleItem);
    const history = machineHistory(machine, items, today, random(SEED + index));
    const machineId = await loadMachine(machine, index * 10, book.id, history, crew);
    jobs.add(machineId, history.jobs);
  }
  await jobs.write();
}

/** Fills an empty database with the crew of Larkmere Parks, told up to `now`; all of it, or nothing. */
export async function loadDemonstration(sequelize: Sequelize, now: Instant): Promise<void> {
  await sequelize.transaction(() => load(civilDateAt(now, TIME_ZONE)));
}
