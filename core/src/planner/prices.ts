import { f64, i32, one, u8 } from './dense.js';
import type { MachineTable } from './tables.js';

/** What a minute and a bay of each workshop day are worth to others. */
export interface DayPrices {
  readonly minute: Float64Array;
  readonly bay: Float64Array;
}

/** What is left of each workshop day. */
export interface Room {
  readonly minutes: Float64Array;
  readonly bays: Float64Array;
}

/** What a minute and a bay beyond what is left cost: a way through plans that do not fit yet. */
export type OverPrices = DayPrices;

/** What goes beyond is a little dearer than what is there, and no cheaper than `least`. */
export function overPrices(
  { minute, bay }: DayPrices,
  least: { readonly minute: number; readonly bay: number },
): OverPrices {
  return {
    minute: minute.map((price) => Math.max(least.minute, 1.2 * price)),
    bay: bay.map((price) => Math.max(least.bay, 1.2 * price)),
  };
}

/** What things cost on the nodes of a machine. */
export interface NodeCosts {
  readonly table: MachineTable;
  /** of a visit, by node */
  readonly setUp: Float64Array;
  /** by opening, then by node */
  readonly access: readonly Float64Array[];
  /** by item, then by node; Infinity where it cannot be done */
  readonly work: readonly Float64Array[];
  /** 1 where the machine may come */
  readonly open: Uint8Array;
}

/** A machine at prices: what a visit, an opening and the work of an item cost on each of its nodes, and where it may come. */
export class PricedMachine implements NodeCosts {
  /** set-up with its bay and its own cost, by node */
  readonly setUp: Float64Array;
  /** by opening, then by node */
  readonly access: readonly Float64Array[];
  /** by item, then by node */
  readonly work: readonly Float64Array[];
  /** 1 where it may come */
  readonly open: Uint8Array;
  /** most minutes of a visit */
  readonly limit: Float64Array;
  /** minutes left, and what one beyond costs; where nothing may go beyond, `limit` says so */
  readonly left: Float64Array;
  readonly over: Float64Array;
  isSoft = false;

  constructor(readonly table: MachineTable) {
    const { width } = table;
    const perNode = () => new Float64Array(width);
    this.setUp = perNode();
    this.access = Array.from(table.access, perNode);
    this.work = table.items.map(perNode);
    this.open = new Uint8Array(width).fill(1);
    this.limit = Float64Array.from(table.room);
    this.left = perNode();
    this.over = perNode();
  }

  /** Prices, and room that may not be exceeded; without room, that of the whole days. */
  set(prices: DayPrices | null, room: Room | null = null): void {
    this.isSoft = false;
    const { table, limit, open } = this;
    this.setCosts(prices);
    for (let node = 1; node <= table.n; node += 1) {
      const day = i32(table.dayOf, node);
      const whole = f64(table.room, node);
      limit[node] = room ? Math.min(whole, f64(room.minutes, day)) : whole;
      const hasBay = !room || f64(room.bays, day) > 0;
      const isForced = u8(table.mustVisit, node) === 1;
      open[node] = isForced || (hasBay && f64(limit, node) >= table.setUp) ? 1 : 0;
    }
  }

  /** Prices, and room that may be exceeded at a price. */
  setSoft(room: Room, beyond: OverPrices): void {
    this.isSoft = true;
    const { table, limit, open, left, over, setUp } = this;
    this.setCosts(null);
    for (let node = 1; node <= table.n; node += 1) {
      const day = i32(table.dayOf, node);
      limit[node] = f64(table.room, node);
      open[node] = 1;
      left[node] = Math.max(0, f64(room.minutes, day));
      over[node] = f64(beyond.minute, day);
      if (f64(room.bays, day) < 1) setUp[node] = f64(setUp, node) + f64(beyond.bay, day);
    }
  }

  private setCosts(prices: DayPrices | null): void {
    const { table, setUp, access, work } = this;
    for (let node = 1; node <= table.n; node += 1) {
      const day = i32(table.dayOf, node);
      const minute = 1 + (prices ? f64(prices.minute, day) : 0);
      setUp[node] = table.setUp * minute + (prices ? f64(prices.bay, day) : 0) + f64(table.ownCost, node);
      for (let at = 0; at < access.length; at += 1) one(access, at)[node] = f64(table.access, at) * minute;
      for (let item = 0; item < work.length; item += 1)
        one(work, item)[node] = one(table.items, item).minutes * minute;
    }
  }

  /** What so many minutes on a node cost beyond what is left. */
  overCost(node: number, minutes: number): number {
    if (!this.isSoft) return 0;
    const beyond = minutes - f64(this.left, node);
    return beyond > 0 ? f64(this.over, node) * beyond : 0;
  }
}
