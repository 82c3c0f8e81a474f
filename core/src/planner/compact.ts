import { MipBuilder } from '../solver/mip.js';
import type { Mip, MipSolution } from '../solver/mip.js';
import type { Column } from './column.js';
import { f64, i32, one, u8 } from './dense.js';
import { mayHave } from './hopeful.js';
import type { HopefulArcs } from './hopeful.js';
import type { MachineSearch } from './machineSearch.js';
import type { Pool } from './pool.js';
import { arcOf } from './tables.js';
import type { ItemTable, MachineTable } from './tables.js';

/** Which of its columns say that an item is done on a node: by machine, then by item, then by node; -1 where it cannot be. */
interface Compact {
  readonly mip: Mip;
  readonly done: readonly (readonly Int32Array[])[];
  /** what all plans cost besides */
  readonly constant: number;
}

type Terms = [column: number, factor: number][];

/** Last done on one node, next done on another. */
interface Arc {
  readonly from: number;
  readonly to: number;
  readonly cost: number;
}

/** What is shared by the items of a visit, by node: the visit itself, and each opening. */
interface SharedColumns {
  readonly visit: Int32Array;
  readonly openings: readonly Int32Array[];
}

/**
 * The whole plan of a small site as one mixed-integer program: the times of every item are a path of arcs, visits and openings are paid
 * once for all items that need them. Right, and too large for many machines.
 */
class Builder {
  private readonly mip = new MipBuilder();
  private readonly minutes: Terms[];
  private readonly bays: Terms[];

  constructor(
    private readonly pool: Pool,
    private readonly hopeful: HopefulArcs,
  ) {
    this.minutes = Array.from(pool.minutes, () => []);
    this.bays = Array.from(pool.minutes, () => []);
  }

  build(): Compact {
    const { pool, mip } = this;
    const done = pool.searches.map((search) => this.addMachine(search));
    for (let day = 0; day < pool.minutes.length; day += 1) {
      if (one(this.minutes, day).length === 0) continue;
      mip.row(one(this.minutes, day), -Infinity, f64(pool.minutes, day));
      mip.row(one(this.bays, day), -Infinity, f64(pool.bays, day));
    }
    const constant = pool.searches.reduce((sum, { table }) => sum + table.constant, 0);
    return { mip: mip.build(), done, constant };
  }

  private takes(column: number, day: number, minutes: number): void {
    one(this.minutes, day).push([column, minutes]);
  }

  private addMachine({ table }: MachineSearch): Int32Array[] {
    const { n, width, items } = table;
    const arcs = items.map((_item, item) => this.arcsOf(table, item));
    const isDoneOn = (node: number) => (item: number) => one(arcs, item).some(({ to }) => to === node);
    const shared: SharedColumns = {
      visit: new Int32Array(width).fill(-1),
      openings: Array.from(table.access, () => new Int32Array(width).fill(-1)),
    };
    for (let node = 1; node <= n; node += 1) {
      const able = [...items.keys()].filter(isDoneOn(node));
      if (able.length === 0 && u8(table.mustVisit, node) === 0) continue;
      const day = i32(table.dayOf, node);
      const cost = table.setUp + f64(table.ownCost, node);
      const visit = this.mip.column(cost, 1, true, u8(table.mustVisit, node));
      shared.visit[node] = visit;
      this.takes(visit, day, table.setUp);
      one(this.bays, day).push([visit, 1]);
      for (const [access, minutes] of table.access.entries()) {
        if (!able.some((item) => one(items, item).access.includes(access))) continue;
        const opened = this.mip.column(minutes, 1);
        one(shared.openings, access)[node] = opened;
        this.takes(opened, day, minutes);
        this.needs(opened, visit);
      }
    }
    return items.map((item, at) => this.addItem(item, one(arcs, at), table, shared));
  }

  /** The arcs of an item that may be in a plan that is good enough. */
  private arcsOf({ place, n, width, items }: MachineTable, item: number): Arc[] {
    const arcs: Arc[] = [];
    for (let to = 1; to <= n + 1; to += 1)
      for (let from = 0; from < to; from += 1) {
        const cost = arcOf(one(items, item), width, from, to);
        if (cost < Infinity && mayHave(this.hopeful, place, item, from * width + to))
          arcs.push({ from, to, cost });
      }
    return arcs;
  }

  /** One thing is not done without the other. */
  private needs(column: number, other: number): void {
    const terms: Terms = [
      [column, 1],
      [other, -1],
    ];
    this.mip.row(terms, -Infinity, 0);
  }

  private addItem(
    item: ItemTable,
    arcs: readonly Arc[],
    { n, width, dayOf }: MachineTable,
    shared: SharedColumns,
  ): Int32Array {
    const done = new Int32Array(width).fill(-1);
    const into: Terms[] = Array.from({ length: width }, () => []);
    const outOf: Terms[] = Array.from({ length: width }, () => []);
    for (const { from, to, cost } of arcs) {
      const arc = this.mip.column(cost, 1, false);
      one(into, to).push([arc, 1]);
      one(outOf, from).push([arc, -1]);
    }
    this.mip.row(
      one(outOf, 0).map(([arc]) => [arc, 1] as const),
      1,
      1,
    );
    for (let node = 1; node <= n; node += 1) {
      if (one(into, node).length === 0) continue;
      const own = this.mip.column(item.minutes, 1);
      done[node] = own;
      this.takes(own, i32(dayOf, node), item.minutes);
      this.mip.row([...one(into, node), ...one(outOf, node)], 0, 0);
      this.mip.row([...one(into, node), [own, -1]], 0, 0);
      this.needs(own, i32(shared.visit, node));
      for (const access of item.access) this.needs(own, i32(one(shared.openings, access), node));
    }
    return done;
  }
}

/** The program of all plans that are made of hopeful arcs. */
export function compactModel(pool: Pool, hopeful: HopefulArcs): Compact {
  return new Builder(pool, hopeful).build();
}

/** The plans of the machines that a solution of the program says. */
export function chosenBy({ done }: Compact, { values }: MipSolution, pool: Pool): Column[] {
  return pool.searches.map((search, machine) => {
    const { n, width, items } = search.table;
    const assigned = search.empty();
    for (let item = 0; item < items.length; item += 1)
      for (let node = 1; node <= n; node += 1) {
        const column = i32(one(one(done, machine), item), node);
        if (column >= 0 && one(values, column) > 0.5) assigned[item * width + node] = 1;
      }
    return pool.keep(search.column(assigned));
  });
}
