import { comeIn, costOf, NO_STOCK, stockOnHand, takeOut, voidIn, voidOut } from '@yugator/core';
import type { Stock, Take } from '@yugator/core';
import { Op } from 'sequelize';
import { grouped } from '../database/grouped.js';
import { Movement, TakeRow } from '../models/shelf.model.js';

/** Of what is used up, and what is covered, nothing changes unless a movement is voided: years of it need not be read. */
type Depth = 'open' | 'whole';

/** Lots in the order in which they came in, by article. */
async function lotsOf(articleIds: readonly string[], depth: Depth): Promise<ReadonlyMap<string, Movement[]>> {
  const rows = await Movement.findAll({
    where: {
      articleId: [...articleIds],
      voidedAt: null,
      leftQuantity: depth === 'open' ? { [Op.gt]: 0 } : { [Op.ne]: null },
    },
    attributes: ['id', 'articleId', 'leftQuantity', 'leftMinor'],
    order: ['movedAt', 'id'],
  });
  return grouped(rows, ({ articleId }) => articleId);
}

/** Movements of which something waits for stock. */
async function waitingIds(articleIds: readonly string[]): Promise<string[]> {
  const waiting = await TakeRow.findAll({
    where: { lotId: null },
    include: [{ model: Movement, where: { articleId: [...articleIds] }, attributes: [] }],
    attributes: ['movementId'],
    raw: true,
  });
  return waiting.map(({ movementId }) => movementId);
}

/** What went out, in the order in which it did, by article; each movement with all that it took. */
async function takesOf(articleIds: readonly string[], depth: Depth): Promise<ReadonlyMap<string, TakeRow[]>> {
  const rows = await TakeRow.findAll({
    where: depth === 'open' ? { movementId: await waitingIds(articleIds) } : {},
    include: [
      { model: Movement, where: { articleId: [...articleIds] }, attributes: ['articleId', 'movedAt'] },
    ],
  });
  rows.sort(
    (a, b) =>
      (a.movement?.movedAt.getTime() ?? 0) - (b.movement?.movedAt.getTime() ?? 0) ||
      a.movementId.localeCompare(b.movementId) ||
      a.n - b.n,
  );
  return grouped(rows, ({ movement }) => movement?.articleId ?? '');
}

function takeOf({ movementId, lotId, quantity, costMinor, lotMinor }: TakeRow): Take {
  return { movementId, lotId, quantity, costMinor, lotMinor };
}

/** The lots of some articles through one unit of work that holds the locks of the articles: changed here, then written at once. */
export class StockBook {
  private constructor(
    private readonly before: ReadonlyMap<string, Stock>,
    private readonly now: Map<string, Stock>,
  ) {}

  /** The open lots of some articles, and what waits for stock; all there ever was where movements are to be voided. */
  static async read(articleIds: readonly string[], depth: Depth = 'open'): Promise<StockBook> {
    const [lots, takes] = await Promise.all([lotsOf(articleIds, depth), takesOf(articleIds, depth)]);
    const stocks = articleIds.map((id) => {
      const own = (lots.get(id) ?? []).map((lot) => ({
        id: lot.id,
        left: lot.leftQuantity ?? 0,
        leftMinor: lot.leftMinor ?? 0,
      }));
      return [id, { lots: own, takes: (takes.get(id) ?? []).map(takeOf) }] as const;
    });
    return new StockBook(new Map(stocks), new Map(stocks));
  }

  /** Pieces or litres by the book: below 0 where more went out than ever came in. */
  onHand(articleId: string): number {
    return stockOnHand(this.of(articleId));
  }

  /** A movement that brings in so much, worth so much. */
  comeIn(articleId: string, movementId: string, quantity: number, valueMinor: number): void {
    this.now.set(
      articleId,
      comeIn(this.of(articleId), { id: movementId, left: quantity, leftMinor: valueMinor }),
    );
  }

  /** A movement that takes out so much; returns what that cost. `priceMinor`: of what was not there. */
  takeOut(articleId: string, movementId: string, quantity: number, priceMinor: number): number {
    const after = takeOut(this.of(articleId), movementId, quantity, priceMinor);
    this.now.set(articleId, after);
    return costOf(after, movementId);
  }

  /** A movement counts no longer; the book is to be read whole. */
  void({ articleId, id, quantity }: Pick<Movement, 'articleId' | 'id' | 'quantity'>): void {
    const stock = this.of(articleId);
    this.now.set(articleId, quantity > 0 ? voidIn(stock, id) : voidOut(stock, id));
  }

  /** Writes what changed. The movements themselves are to be there. */
  async write(): Promise<void> {
    for (const [articleId, now] of this.now) {
      const before = this.before.get(articleId) ?? NO_STOCK;
      if (before === now) continue;
      await this.writeLots(before, now);
      await this.writeTakes(before, now);
    }
  }

  private async writeLots(before: Stock, now: Stock): Promise<void> {
    const known = new Map(before.lots.map((lot) => [lot.id, lot]));
    for (const { id, left, leftMinor } of now.lots) {
      const was = known.get(id);
      if (was?.left !== left || was.leftMinor !== leftMinor)
        await Movement.update({ leftQuantity: left, leftMinor }, { where: { id } });
    }
    const stays = new Set(now.lots.map(({ id }) => id));
    const gone = before.lots.map(({ id }) => id).filter((id) => !stays.has(id));
    if (gone.length) await Movement.update({ leftQuantity: null, leftMinor: null }, { where: { id: gone } });
  }

  private async writeTakes(before: Stock, now: Stock): Promise<void> {
    const kept = new Set(now.takes);
    const known = new Set(before.takes);
    const changed = [
      ...new Set(
        [
          ...before.takes.filter((take) => !kept.has(take)),
          ...now.takes.filter((take) => !known.has(take)),
        ].map(({ movementId }) => movementId),
      ),
    ];
    if (changed.length === 0) return;
    await TakeRow.destroy({ where: { movementId: changed } });
    const byMovement = grouped(now.takes, ({ movementId }) => movementId);
    await TakeRow.bulkCreate(
      changed.flatMap((id) => (byMovement.get(id) ?? []).map((take, n) => ({ ...take, n }))),
    );
  }

  private of(articleId: string): Stock {
    return this.now.get(articleId) ?? NO_STOCK;
  }
}
