import type { FileArticleDto, FileMovementDto, FileVisitDto } from '@yugator/contracts';
import { leftOfLots, nameKey } from '@yugator/core';
import { v7 as uuid } from 'uuid';
import { inChunks } from '../database/inChunks.js';
import { known } from '../database/known.js';
import { Job } from '../models/job.model.js';
import { Machine } from '../models/machine.model.js';
import { Person } from '../models/person.model.js';
import { Movement, TakeRow } from '../models/shelf.model.js';

interface Known {
  /** ids of articles by the keys of their names */
  readonly articles: ReadonlyMap<string, string>;
  readonly visits: ReadonlyMap<string, string>;
  /** ids of people by the keys of their names */
  readonly people: ReadonlyMap<string, string>;
}

function keyOfVisit({ machine, on, life }: FileVisitDto): string {
  return `${nameKey(machine)} ${on} ${life}`;
}

/** The visits of machines that came with the file. */
async function visitsOf(machineIds: readonly string[]): Promise<ReadonlyMap<string, string>> {
  const jobs = await Job.findAll({
    where: { machineId: [...machineIds], state: 'signedOff' },
    attributes: ['id', 'doneOn', 'life'],
    include: [{ model: Machine, attributes: ['tag'] }],
  });
  return new Map(
    jobs.map(({ id, doneOn, life, machine }) => [
      keyOfVisit({ machine: machine?.tag ?? '', on: doneOn ?? '', life: life ?? 0 }),
      id,
    ]),
  );
}

/** Who is not here, and a visit that did not come with the file, stay in words. */
function noteOf({ note, by, visit }: FileMovementDto, { people, visits }: Known): string {
  const isByAnother = by !== '' && !people.has(nameKey(by));
  const isForAnother = visit !== null && !visits.has(keyOfVisit(visit));
  return [note, isByAnother ? `by ${by}` : '', isForAnother ? `for ${visit.machine} on ${visit.on}` : '']
    .filter(Boolean)
    .join(', ')
    .slice(0, 200);
}

function rowsOf({ name, movements = [] }: FileArticleDto, here: Known) {
  const ids = movements.map(() => uuid());
  const lots = leftOfLots(movements);
  return movements.map((movement, at) => {
    const { kind, quantity, valueMinor, container, shed, by, visit, takes } = movement;
    const movementId = ids[at] ?? '';
    return {
      movement: {
        id: movementId,
        articleId: known(here.articles, nameKey(name)),
        kind,
        quantity,
        valueMinor,
        container,
        shed,
        leftQuantity: lots[at]?.left ?? null,
        leftMinor: lots[at]?.leftMinor ?? null,
        movedAt: new Date(movement.at),
        movedById: here.people.get(nameKey(by)) ?? null,
        jobId: (visit && here.visits.get(keyOfVisit(visit))) ?? null,
        note: noteOf(movement, here),
        articleName: null,
        articleUnit: null,
        voidedAt: null,
      },
      takes: takes.map(({ lot, ...take }, n) => ({
        ...take,
        movementId,
        n,
        lotId: lot === null ? null : (ids[lot] ?? null),
      })),
    };
  });
}

/** Writes all that came and went of articles that are new, after the machines for which it did. */
export async function writeMovements(
  articles: readonly FileArticleDto[],
  ids: ReadonlyMap<string, string>,
  machineIds: readonly string[],
): Promise<void> {
  const people = await Person.findAll({ attributes: ['id', 'name'], raw: true });
  const here: Known = {
    articles: ids,
    visits: await visitsOf(machineIds),
    people: new Map(people.map(({ id, name }) => [nameKey(name), id])),
  };
  const rows = articles.flatMap((article) => rowsOf(article, here));
  await inChunks(
    rows.map(({ movement }) => movement),
    (chunk) => Movement.bulkCreate(chunk),
  );
  await inChunks(
    rows.flatMap(({ takes }) => takes),
    (chunk) => TakeRow.bulkCreate(chunk),
  );
}
