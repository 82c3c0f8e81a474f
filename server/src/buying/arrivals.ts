import type { ArrivalDto } from '@yugator/contracts';
import { roundQuantity } from '@yugator/core';
import type { CivilDate } from '@yugator/core';
import { grouped } from '../database/grouped.js';
import { Order, OrderLine } from '../models/buying.model.js';

/** What was ordered and is to come, by article. A day that is past comes today. */
export async function arrivalsByArticle(today: CivilDate): Promise<ReadonlyMap<string, ArrivalDto[]>> {
  const lines = await OrderLine.findAll({
    include: [{ model: Order, where: { isOpen: true }, required: true }],
  });
  const open = lines.flatMap(({ articleId, pack, packs, arrived, order }) => {
    const quantity = roundQuantity((packs - arrived) * pack);
    const on = order && order.expectedOn > today ? order.expectedOn : today;
    return quantity > 0 ? [{ articleId, on, quantity }] : [];
  });
  return new Map(
    [...grouped(open, ({ articleId }) => articleId)].map(([id, own]) => [
      id,
      own.map(({ on, quantity }) => ({ on, quantity })),
    ]),
  );
}
