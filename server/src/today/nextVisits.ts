import type { NextVisitDto } from '@yugator/contracts';
import { addDays } from '@yugator/core';
import type { CivilDate } from '@yugator/core';
import { known } from '../database/known.js';
import { Item } from '../models/book.model.js';
import { Job } from '../models/job.model.js';
import { Machine } from '../models/machine.model.js';
import { VisitCard, VisitCardItem } from '../models/plan.model.js';

/** What is planned for today and tomorrow, today's first; `jobOf`: open jobs by machine. */
export async function nextVisits(
  today: CivilDate,
  jobOf: ReadonlyMap<string, string>,
): Promise<NextVisitDto[]> {
  const days = [today, addDays(today, 1)];
  const cards = await VisitCard.findAll({
    where: { onDay: days },
    include: [VisitCardItem],
    order: ['onDay'],
  });
  if (cards.length === 0) return [];
  const machineIds = cards.map(({ machineId }) => machineId);
  const itemIds = cards.flatMap(({ items = [] }) => items.map(({ itemId }) => itemId));
  const [machines, items, done] = await Promise.all([
    Machine.findAll({ where: { id: machineIds }, attributes: ['id', 'tag', 'name'], raw: true }),
    Item.findAll({ where: { id: itemIds }, attributes: ['id', 'name'], raw: true }),
    Job.findAll({
      where: { machineId: machineIds, state: 'signedOff', kind: 'visit', doneOn: today },
      attributes: ['machineId'],
      raw: true,
    }),
  ]);
  const names = new Map(items.map(({ id, name }) => [id, name]));
  const byId = new Map(machines.map((machine) => [machine.id, machine]));
  const isDone = new Set(done.map(({ machineId }) => machineId));
  const visits = cards.map(({ machineId, onDay, minutes, items: own = [] }) => ({
    machine: known(byId, machineId),
    on: onDay,
    minutes,
    itemIds: own.map(({ itemId }) => itemId),
    lines: own.map(({ itemId }) => names.get(itemId) ?? '').sort(),
    openJobId: jobOf.get(machineId) ?? null,
    isDone: onDay === today && isDone.has(machineId),
  }));
  return visits.sort((a, b) => a.on.localeCompare(b.on) || a.machine.tag.localeCompare(b.machine.tag));
}
