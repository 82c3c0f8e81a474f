import type { CreationAttributes } from 'sequelize';
import { comeIn, costOf, NO_STOCK, takeOut } from '@yugator/core';
import type { Stock } from '@yugator/core';
import { grouped } from '../database/grouped.js';
import type { Movement, TakeRow } from '../models/shelf.model.js';

type Row = CreationAttributes<Movement>;

/** Movements of many articles in the order of their time, with what is left of each lot, and what went out of which. */
export function inLots(rows: readonly Row[]): { movements: Row[]; takes: CreationAttributes<TakeRow>[] } {
  const inOrder = [...rows].sort((a, b) => a.movedAt.getTime() - b.movedAt.getTime());
  const stocks = new Map<string, Stock>();
  const costs = new Map<string, number>();
  for (const { id, articleId, quantity, valueMinor } of inOrder) {
    const stock = stocks.get(articleId) ?? NO_STOCK;
    if (quantity > 0) {
      stocks.set(articleId, comeIn(stock, { id, left: quantity, leftMinor: valueMinor }));
      continue;
    }
    const after = takeOut(stock, id, -quantity, valueMinor / quantity);
    costs.set(id, costOf(after, id));
    stocks.set(articleId, after);
  }
  const lots = new Map([...stocks.values()].flatMap((stock) => stock.lots.map((lot) => [lot.id, lot])));
  const byMovement = grouped(
    [...stocks.values()].flatMap(({ takes }) => takes),
    ({ movementId }) => movementId,
  );
  return {
    movements: inOrder.map((row) => ({
      ...row,
      valueMinor: row.quantity > 0 ? row.valueMinor : 0 - (costs.get(row.id) ?? 0),
      leftQuantity: lots.get(row.id)?.left ?? null,
      leftMinor: lots.get(row.id)?.leftMinor ?? null,
    })),
    takes: [...byMovement.values()].flatMap((own) => own.map((take, n) => ({ ...take, n }))),
  };
}
