import type { FileMovementDto, FileVisitDto } from '@yugator/contracts';
import { grouped } from '../database/grouped.js';
import { Job } from '../models/job.model.js';
import { Machine } from '../models/machine.model.js';
import { Movement, TakeRow } from '../models/shelf.model.js';
import { namesById } from '../people/namesById.js';

/** The visits that drew or left something, by the tags of their machines. */
async function visitsById(): Promise<ReadonlyMap<string, FileVisitDto>> {
  const jobs = await Job.findAll({
    where: { state: 'signedOff' },
    attributes: ['id', 'doneOn', 'life'],
    include: [{ model: Machine, attributes: ['tag'] }],
  });
  return new Map(
    jobs.flatMap(({ id, doneOn, life, machine }) =>
      machine && doneOn !== null && life !== null
        ? [[id, { machine: machine.tag, on: doneOn, life }] as const]
        : [],
    ),
  );
}

/** All movements that count, by article, the earlier first, with what each took of which. */
export async function movementsByArticle(): Promise<ReadonlyMap<string, FileMovementDto[]>> {
  const [movements, takes, visits, names] = await Promise.all([
    Movement.findAll({ where: { voidedAt: null }, order: ['movedAt', 'id'], raw: true }),
    TakeRow.findAll({ order: ['movementId', 'n'], raw: true }),
    visitsById(),
    namesById(),
  ]);
  const takesOf = grouped(takes, ({ movementId }) => movementId);
  const toFile = (movement: Movement, places: ReadonlyMap<string, number>): FileMovementDto => ({
    at: movement.movedAt.toISOString(),
    kind: movement.kind,
    quantity: movement.quantity,
    valueMinor: movement.valueMinor,
    container: movement.container,
    shed: movement.shed,
    by: names.get(movement.movedById ?? '') ?? '',
    note: movement.note,
    visit: visits.get(movement.jobId ?? '') ?? null,
    takes: (takesOf.get(movement.id) ?? []).map(({ lotId, quantity, costMinor, lotMinor }) => ({
      lot: lotId === null ? null : (places.get(lotId) ?? null),
      quantity,
      costMinor,
      lotMinor,
    })),
  });
  return new Map(
    [...grouped(movements, ({ articleId }) => articleId)].map(([id, own]) => {
      const moved = own.filter(({ quantity }) => quantity !== 0);
      const places = new Map(moved.map((movement, at) => [movement.id, at]));
      return [id, moved.map((movement) => toFile(movement, places))];
    }),
  );
}
