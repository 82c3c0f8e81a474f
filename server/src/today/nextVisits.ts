import type { NextVisitDto } from '@yugator/contracts';
import { addDays } from '@yugator/core';
import type { CivilDate } from '@yugator/core';
import { known } from '../database/known.js';
import { mendingName } from '../defect/mendingName.js';
import { defectsOf, linesOf, storedCards, workOf } from '../job/storedCards.js';
import { Item } from '../models/book.model.js';
import { Defect } from '../models/defect.model.js';
import { Machine } from '../models/machine.model.js';

/** What is planned for today and tomorrow, today's first; `jobOf`: open jobs by machine. */
export async function nextVisits(
  today: CivilDate,
  jobOf: ReadonlyMap<string, string>,
): Promise<NextVisitDto[]> {
  const stored = await storedCards(today, { from: today, until: addDays(today, 1) });
  if (stored.length === 0) return [];
  const [machines, items, defects] = await Promise.all([
    Machine.findAll({
      where: { id: stored.map(({ card }) => card.machineId) },
      attributes: ['id', 'tag', 'name'],
      raw: true,
    }),
    Item.findAll({
      where: { id: stored.flatMap(({ card }) => linesOf(card)) },
      attributes: ['id', 'name'],
      raw: true,
    }),
    Defect.findAll({
      where: { id: stored.flatMap(({ card }) => defectsOf(card)) },
      attributes: ['id', 'words'],
      raw: true,
    }),
  ]);
  const names = new Map([
    ...items.map(({ id, name }) => [id, name] as const),
    ...defects.map(({ id, words }) => [id, mendingName(words)] as const),
  ]);
  const byId = new Map(machines.map((machine) => [machine.id, machine]));
  const visits = stored.map(({ card, state }) => ({
    machine: known(byId, card.machineId),
    on: card.onDay,
    minutes: card.minutes,
    itemIds: linesOf(card),
    lines: workOf(card)
      .map((id) => names.get(id) ?? '')
      .sort(),
    openJobId: jobOf.get(card.machineId) ?? null,
    isDone: state === 'done',
  }));
  return visits.sort((a, b) => a.on.localeCompare(b.on) || a.machine.tag.localeCompare(b.machine.tag));
}
