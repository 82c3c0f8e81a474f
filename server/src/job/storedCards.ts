import { addDays, cardState, civilDate } from '@yugator/core';
import type { CardState, CivilDate, VisitDone } from '@yugator/core';
import { Op } from 'sequelize';
import { grouped } from '../database/grouped.js';
import { Job, JobDefect, JobItem } from '../models/job.model.js';
import { VisitCard, VisitCardDefect, VisitCardItem } from '../models/plan.model.js';

/** A card that the crew was told of, and what became of it. */
export interface StoredCard {
  readonly card: VisitCard;
  readonly state: CardState;
}

/** Cards of so many days before today are told with what became of them. */
const TOLD_BACK = 14;
/** Visits of so many days before the first card may have done its work. */
const LOOKED_BACK = 14;

/** Lines of books that a card is for, by ids. */
export function linesOf({ items = [] }: VisitCard): string[] {
  return items.map(({ itemId }) => itemId);
}

/** Defects that a card is for, by ids. */
export function defectsOf({ defects = [] }: VisitCard): string[] {
  return defects.map(({ defectId }) => defectId);
}

/** All that a card is for, by ids: lines, then defects. */
export function workOf(card: VisitCard): string[] {
  return [...linesOf(card), ...defectsOf(card)];
}

/** What was done and what was mended from a day on, by machine; a job that did neither is not read. */
async function visitsDone(
  machineIds: readonly string[],
  from: CivilDate,
): Promise<ReadonlyMap<string, readonly VisitDone[]>> {
  const of = {
    where: { machineId: [...machineIds], state: 'signedOff', doneOn: { [Op.gte]: from } },
    attributes: ['id', 'machineId', 'doneOn'],
  };
  const [done, mended] = await Promise.all([
    Job.findAll({
      ...of,
      include: [{ model: JobItem, where: { outcome: 'done' }, required: true, attributes: ['itemId'] }],
    }),
    Job.findAll({ ...of, include: [{ model: JobDefect, required: true, attributes: ['defectId'] }] }),
  ]);
  const byMachine = grouped([...done, ...mended], ({ machineId }) => machineId);
  return new Map(
    [...byMachine].map(([machineId, jobs]) => [
      machineId,
      jobs.flatMap(({ doneOn, items = [], mended: defects = [] }) => {
        const itemIds = [...items.map(({ itemId }) => itemId), ...defects.map(({ defectId }) => defectId)];
        return doneOn ? [{ on: civilDate(doneOn), itemIds }] : [];
      }),
    ]),
  );
}

/** The cards of these days, from a fortnight ago on where none are named, in the order of their days, with what became of them. */
export async function storedCards(
  today: CivilDate,
  days?: { readonly from: CivilDate; readonly until: CivilDate },
): Promise<StoredCard[]> {
  const from = days?.from ?? addDays(today, -TOLD_BACK);
  const cards = await VisitCard.findAll({
    where: { onDay: days ? { [Op.between]: [from, days.until] } : { [Op.gte]: from } },
    include: [VisitCardItem, VisitCardDefect],
    order: ['onDay', 'machineId'],
  });
  const machineIds = [...new Set(cards.map(({ machineId }) => machineId))];
  const visitsOf = await visitsDone(machineIds, addDays(from, -LOOKED_BACK));
  return cards.map((card) => {
    const work = { on: civilDate(card.onDay), itemIds: workOf(card) };
    const state = cardState(work, visitsOf.get(card.machineId) ?? [], today);
    return { card, state };
  });
}
