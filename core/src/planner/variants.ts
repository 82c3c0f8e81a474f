import type { Column } from './column.js';
import { one, u8 } from './dense.js';
import type { MachineSearch } from './machineSearch.js';
import { reducedCost } from './generate.js';
import type { MasterAnswer } from './master.js';
import type { Pool } from './pool.js';
import type { DayPrices } from './prices.js';

/** Nodes of visits, from the second place on, as the search takes them. */
class Nodes {
  readonly list: Int32Array;
  count = 0;

  constructor(size: number) {
    this.list = new Int32Array(size + 1);
  }

  set(nodes: ReadonlySet<number>): void {
    this.count = 0;
    for (const node of [...nodes].sort((a, b) => a - b)) {
      this.count += 1;
      this.list[this.count] = node;
    }
  }
}

function isOpen({ table, priced }: MachineSearch, node: number): boolean {
  return node >= 1 && node <= table.n && u8(priced.open, node) === 1;
}

/** Prices of a level drawn by chance, higher for the days that come first. */
function drawnPrices(days: number, random: () => number): DayPrices {
  const level = 2.5 * random() * random();
  const minute = Float64Array.from(
    { length: days },
    (_, day) => level * (1 - day / days) * (0.6 + 0.8 * random()),
  );
  return { minute, bay: new Float64Array(days) };
}

/** Visits of a plan, each a few days away from where it was, and now and then one more. */
function shifted(search: MachineSearch, { nodes }: Column, random: () => number): Set<number> {
  const { n, mustVisit } = search.table;
  const moved = new Set<number>();
  for (const node of nodes) {
    const isFixed = u8(mustVisit, node) === 1;
    const to = isFixed ? node : Math.max(1, Math.min(n, node + Math.floor(random() * 5) - 2));
    if (isOpen(search, to)) moved.add(to);
  }
  const more = 1 + Math.floor(random() * n);
  if (random() < 0.3 && isOpen(search, more)) moved.add(more);
  return moved;
}

/** Plans at prices by chance, before anything is known of prices: so that the first ones are sensible. */
export function seedPool(pool: Pool, random: () => number, most = 24): void {
  for (const [machine, search] of pool.searches.entries()) {
    const known = one(pool.byMachine, machine);
    const nodes = new Nodes(search.table.width);
    const out = search.empty();
    let base = known.at(-1);
    for (let at = 0; at < most && base; at += 1) {
      if (at % 6 === 0) {
        search.setPrices(drawnPrices(pool.minutes.length, random));
        base = one(known, Math.floor(random() * known.length));
      }
      nodes.set(shifted(search, base, random));
      if (!(search.onNodes(nodes.list, nodes.count, out) < Infinity)) continue;
      const added = pool.add(search.column(out));
      if (added.isNew && random() < 0.5) base = added.column;
    }
  }
}

/** Prices near those of the relaxed program. */
function nearPrices({ prices }: MasterAnswer, random: () => number): DayPrices {
  const noise = () => 1 + 0.6 * (2 * random() - 1);
  return {
    minute: prices.minute.map((price) => price * noise() + 0.1 * random()),
    bay: prices.bay.map((price) => price * noise()),
  };
}

/** A plan of which a visit or two are moved up to three days, and now and then one more is made. */
function changed(search: MachineSearch, { nodes }: Column, random: () => number): Set<number> {
  const { mustVisit, n } = search.table;
  const visits = new Set(nodes.filter((node) => isOpen(search, node)));
  const moves = Math.min(2, 1 + Math.floor(random() * 3));
  for (let move = 0; move < moves && nodes.length > 0; move += 1) {
    const node = one(nodes, Math.floor(random() * nodes.length));
    if (u8(mustVisit, node) === 1) continue;
    const to = node + Math.floor(random() * 7) - 3;
    visits.delete(node);
    if (isOpen(search, to)) visits.add(to);
  }
  const more = 1 + Math.floor(random() * n);
  if (random() < 0.25 && isOpen(search, more)) visits.add(more);
  return visits;
}

/** How many variants are tried for each machine, and up to which reduced cost one may still matter. */
export interface Widening {
  readonly tries: number;
  readonly most: number;
}

/** Widens the pool: plans near the most promising ones. */
export function widen(
  pool: Pool,
  answer: MasterAnswer,
  random: () => number,
  { tries, most }: Widening,
): void {
  for (const [machine, search] of pool.searches.entries()) {
    const bases = one(pool.byMachine, machine)
      .map((column) => ({ column, cost: reducedCost(column, answer) }))
      .sort((a, b) => a.cost - b.cost)
      .slice(0, 6);
    const nodes = new Nodes(search.table.width);
    const out = search.empty();
    for (let at = 0; at < tries && bases.length > 0; at += 1) {
      if (at % 4 === 0) search.setPrices(nearPrices(answer, random));
      const base = one(bases, Math.floor(random() ** 1.5 * bases.length));
      nodes.set(changed(search, base.column, random));
      if (!(search.onNodes(nodes.list, nodes.count, out) < Infinity)) continue;
      const column = search.column(out);
      if (reducedCost(column, answer) <= most) pool.add(column);
    }
  }
}
