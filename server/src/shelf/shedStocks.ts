import type { FieldFaultDto } from '@yugator/contracts';
import { roundQuantity, stockBySheds, stockInShed, takenFromSheds } from '@yugator/core';
import type { ShedStock } from '@yugator/core';
import { col, fn, Op } from 'sequelize';
import type { Attributes, WhereOptions } from 'sequelize';
import { grouped } from '../database/grouped.js';
import { Machine } from '../models/machine.model.js';
import { Movement } from '../models/shelf.model.js';
import { fault } from '../problem/problem.js';

/** What came and went in each shed, by article. */
function sumsByShed(where: WhereOptions<Attributes<Movement>>): Promise<Movement[]> {
  return Movement.findAll({
    where: { [Op.and]: [{ voidedAt: null }, where] },
    attributes: ['articleId', 'shed', [fn('SUM', col('quantity')), 'quantity']],
    group: ['articleId', 'shed'],
    raw: true,
  });
}

/**
 * The sheds between which stock is told apart, by name: those in which machines stand, and those in which something lies. None on a
 * site with one shed, where nobody is to be asked in which.
 */
export async function shedNames(): Promise<string[]> {
  const [machines, stocks] = await Promise.all([
    Machine.findAll({
      attributes: ['shed'],
      where: { status: { [Op.ne]: 'retired' } },
      group: ['shed'],
      raw: true,
    }),
    sumsByShed({ shed: { [Op.ne]: null } }),
  ]);
  const held = stocks.flatMap(({ shed, quantity }) =>
    shed !== null && Number(quantity) !== 0 ? [shed] : [],
  );
  const names = new Set([...machines.map(({ shed }) => shed), ...held]);
  return names.size > 1 || held.length > 0 ? [...names].sort((a, b) => a.localeCompare(b)) : [];
}

/** What speaks against a shed that was chosen; '' and left out: none was. */
export function shedFaults(
  shed: string | null | undefined,
  names: readonly string[],
  pointer = '/shed',
): FieldFaultDto[] {
  if (!shed || names.includes(shed)) return [];
  return [
    fault(pointer, 'unknown', 'No machine stands in this shed, and nothing lies there. Choose another.'),
  ];
}

/** Where sheds are told apart, somebody says in which, unless something lies where nobody said. */
export function unsaidFaults(
  shed: string | null | undefined,
  names: readonly string[],
  isAnyUnsaid: boolean,
): FieldFaultDto[] {
  if (shed || names.length === 0 || isAnyUnsaid) return [];
  return [fault('/shed', 'notSaid', 'Say in which shed.')];
}

/** What of some articles lies in which shed, through one unit of work that holds the locks of the articles. */
export class ShedStocks {
  private constructor(
    private readonly stocks: Map<string, ShedStock[]>,
    readonly names: readonly string[],
  ) {}

  static async read(articleIds: readonly string[]): Promise<ShedStocks> {
    const [rows, names] = await Promise.all([sumsByShed({ articleId: [...articleIds] }), shedNames()]);
    const stocks = [...grouped(rows, ({ articleId }) => articleId)].map(
      ([id, own]) =>
        [id, stockBySheds(own.map(({ shed, quantity }) => ({ shed, quantity: Number(quantity) })))] as const,
    );
    return new ShedStocks(new Map(stocks), names);
  }

  /** The shed of a machine, where sheds are told apart. */
  home(shed: string | null | undefined): string | null {
    return shed && this.names.includes(shed) ? shed : null;
  }

  onHand(articleId: string, shed: string | null): number {
    return stockInShed(this.of(articleId), shed);
  }

  /** From which sheds work in the shed `home` takes so much. */
  taken(articleId: string, home: string | null, quantity: number): ShedStock[] {
    return takenFromSheds(this.of(articleId), home, quantity);
  }

  of(articleId: string): readonly ShedStock[] {
    return this.stocks.get(articleId) ?? [];
  }

  /** So much comes into a shed, or goes out of it. */
  move(articleId: string, shed: string | null, quantity: number): void {
    const after = stockBySheds([...this.of(articleId), { shed, quantity: roundQuantity(quantity) }]);
    this.stocks.set(articleId, after);
  }
}
