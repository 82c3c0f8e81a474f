import { civilDateAt, scheduleContext, seasonYear } from '@yugator/core';
import type { CivilDate, Instant, ScheduleContext, Season } from '@yugator/core';
import type { Role } from '@yugator/contracts';
import type { Sequelize } from 'sequelize-typescript';
import { v7 as uuid } from 'uuid';
import { Book, Item } from '../models/book.model.js';
import { BookCatalogue } from '../books/bookCatalogue.js';
import { linesOf } from '../books/toBookDto.js';
import { toScheduleItem } from '../facts/scheduleItem.js';
import { AttachmentRow, Machine, MachineBook, MachineSeason } from '../models/machine.model.js';
import { MeterSegmentRow, ReadingRow } from '../models/meter.model.js';
import { Person } from '../models/person.model.js';
import { Declaration } from '../models/declaration.model.js';
import { SeasonRow, SeasonYearRow } from '../models/season.model.js';
import { hashPassword } from '../session/password.js';
import { Site, SITE_DEFAULTS } from '../models/site.model.js';
import { loadFindings } from './demoFindings.js';
import { demoFindings } from './demoChecks.js';
import { DemoJobs } from './demoJobs.js';
import { writeDemoSuppliers } from './demoSuppliers.js';
import { writeDemoWorkshop } from './demoWorkshop.js';
import { loadTopUps, THIRSTY_TAG } from './demoTopUps.js';
import {
  BLOWER_TAG,
  CURRENCY,
  LABOUR_RATE_MINOR,
  MACHINES,
  SEASON_DAYS,
  SEASON_KEYS,
  TIME_ZONE,
} from './larkmere.js';
import type { DemoMachine } from './larkmere.js';
import { attachmentsOf, blowerReadings, machineHistory, participationOf } from './machineHistory.js';
import type { DemoHistory } from './machineHistory.js';
import { random } from './random.js';
import { specCardOf } from './specCards.js';
import { known } from '../database/known.js';

const PASSWORD = 'larkmere-shed';
const SEED = 20_270_513;
const CHECKS_SEED = 9000;

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
  /** ids by key */
  readonly seasons: ReadonlyMap<string, string>;
}

async function loadPeople(): Promise<Omit<Crew, 'seasons'>> {
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
      passwordHash: hashes[index] ?? '',
    })),
  );
  const idOf = (role: Role) => people.find((person) => person.role === role)?.id ?? '';
  return { lead: idOf('crewLead'), mechanic: idOf('mechanic'), operator: idOf('operator') };
}

async function loadMachine(
  machine: DemoMachine,
  walkOrder: number,
  bookIds: readonly string[],
  history: DemoHistory,
  crew: Crew,
): Promise<string> {
  const id = uuid();
  const { tag, name, machineClass, make, model, fuel, shed } = machine;
  const { entry } = history;
  await Machine.create({
    id,
    tag,
    name,
    machineClass,
    make,
    model,
    fuel,
    shed,
    walkOrder,
    inServiceOn: entry.on,
    inServiceHours: entry.life,
    cameNew: entry.cameNew,
    version: 1,
    status: 'inService',
    factsRevision: 1,
    serial: `LP-${tag}`,
    ...specCardOf(machineClass, fuel),
  });
  await MachineBook.bulkCreate(bookIds.map((bookId) => ({ machineId: id, bookId })));
  await MachineSeason.bulkCreate(
    participationOf(machine.pattern).map(({ seasonId, hoursPerWeek }) => ({
      machineId: id,
      seasonId: known(crew.seasons, seasonId),
      hoursPerWeek,
    })),
  );
  await AttachmentRow.bulkCreate(
    attachmentsOf(machine).map(({ meter, hours }) => ({
      machineId: id,
      kind: meter,
      name: 'Front loader',
      share: hours.kind === 'share' ? hours.share : null,
      hoursAtStart: hours.hoursAtStart,
      engineAtStart: hours.kind === 'share' ? hours.engineAtStart : 0,
    })),
  );
  await loadMeter(id, history, crew);
  if (tag === BLOWER_TAG) await loadBlower(id, history, crew);
  await Declaration.bulkCreate(
    history.declared.map(({ itemId, on, life }) => ({
      id: uuid(),
      machineId: id,
      itemId,
      doneOn: on,
      life,
      note: 'From the shed calendar',
      declaredAt: new Date(history.readings[0]?.at ?? 0),
      declaredById: crew.lead,
    })),
  );
  return id;
}

/** What its meter was made of, and what was read off it. */
async function loadMeter(machineId: string, history: DemoHistory, crew: Crew): Promise<void> {
  await MeterSegmentRow.bulkCreate(
    history.segments.map(({ startsAt, offset }, index) => ({
      id: uuid(),
      machineId,
      startsAt: new Date(startsAt),
      hoursOffset: offset,
      kind: index === 0 ? 'first' : 'replaced',
      reason: index === 0 ? '' : 'The old one had stopped',
    })),
  );
  await ReadingRow.bulkCreate(
    history.readings.map(({ at, shown, voided }) => ({
      id: uuid(),
      machineId,
      readAt: new Date(at),
      shown,
      source: 'round',
      enteredById: crew.operator,
      ...(voided
        ? { voidedAt: new Date(at + 120_000), voidedById: crew.lead, voidReason: 'A digit too many' }
        : {}),
    })),
  );
}

async function loadBlower(machineId: string, { readings }: DemoHistory, crew: Crew): Promise<void> {
  const own = blowerReadings(readings);
  const [first] = own;
  if (!first) return;
  const meter = { machineId, meter: 'blower' as const };
  await AttachmentRow.create({
    machineId,
    kind: 'blower',
    name: 'Snow blower',
    share: null,
    hoursAtStart: 0,
    engineAtStart: 0,
  });
  await MeterSegmentRow.create({
    ...meter,
    id: uuid(),
    startsAt: new Date(first.at),
    hoursOffset: 0,
    kind: 'first',
    reason: '',
  });
  await ReadingRow.bulkCreate(
    own.map(({ at, shown }) => ({
      ...meter,
      id: uuid(),
      readAt: new Date(at),
      shown,
      source: 'round',
      enteredById: crew.operator,
    })),
  );
}

/** The seasons by the keys that the story tells of them with. */
function storySeasons(today: CivilDate): Season[] {
  const year = Number(today.slice(0, 4));
  return SEASON_KEYS.map((key) => {
    const { name, first, last } = SEASON_DAYS[key];
    return { id: key, name, years: [seasonYear(year, first, last)] };
  });
}

async function loadSeasons(seasons: readonly Season[]): Promise<Map<string, string>> {
  const rows = seasons.map((season, place) => ({ ...season, key: season.id, id: uuid(), place }));
  await SeasonRow.bulkCreate(rows.map(({ id, name, place }) => ({ id, name, place })));
  await SeasonYearRow.bulkCreate(
    rows.flatMap(({ id, years }) => years.map((year) => ({ seasonId: id, ...year }))),
  );
  return new Map(rows.map(({ key, id }) => [key, id]));
}

/** The site on each day of the story; most machines are told of on the same days. */
function contexts(seasons: readonly Season[]): (on: CivilDate) => ScheduleContext {
  const known = new Map<CivilDate, ScheduleContext>();
  return (on) => {
    const context = known.get(on) ?? scheduleContext({ timeZone: TIME_ZONE, seasons, grid: 'sinceDone' }, on);
    known.set(on, context);
    return context;
  };
}

async function load(today: CivilDate): Promise<void> {
  await Site.create({
    id: uuid(),
    name: 'Larkmere Parks',
    timeZone: TIME_ZONE,
    currency: CURRENCY,
    demonstration: true,
    ...SITE_DEFAULTS,
    labourRateMinor: LABOUR_RATE_MINOR,
  });
  const seasons = storySeasons(today);
  const contextOn = contexts(seasons);
  const crew = { ...(await loadPeople()), seasons: await loadSeasons(seasons) };
  await new BookCatalogue().load();
  const books = await Book.findAll({ include: [Item] });
  const jobs = new DemoJobs(books, crew.mechanic, crew.lead);
  const machineIds = new Map<string, string>();
  for (const [index, machine] of MACHINES.entries()) {
    const own = machine.books.map((name) => {
      const book = books.find((candidate) => candidate.name === name);
      if (!book) throw new Error(`${machine.tag} follows "${name}", which is not among the shipped books.`);
      return book;
    });
    const items = own.flatMap(linesOf).map(toScheduleItem);
    const history = machineHistory(machine, items, today, random(SEED + index), contextOn);
    const machineId = await loadMachine(
      machine,
      index * 10,
      own.map(({ id }) => id),
      history,
      crew,
    );
    const itemById = new Map(items.map((item) => [item.id, item]));
    const chance = random(CHECKS_SEED + index);
    jobs.add({ id: machineId, machine, items }, history.jobs, (itemId) => {
      const item = itemById.get(itemId);
      return item ? demoFindings(machine, item, chance) : null;
    });
    if (machine.tag === THIRSTY_TAG) await loadTopUps(machineId, history, crew.operator);
    machineIds.set(machine.tag, machineId);
  }
  await jobs.write();
  await writeDemoSuppliers(crew.lead, today);
  await writeDemoWorkshop(crew, today);
  await loadFindings(machineIds, today, crew);
}

/** Fills an empty database with the crew of Larkmere Parks, told up to `now`; all of it, or nothing. */
export async function loadDemonstration(sequelize: Sequelize, now: Instant): Promise<void> {
  await sequelize.transaction(() => load(civilDateAt(now, TIME_ZONE)));
}
