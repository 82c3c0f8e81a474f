import type { Column } from './column.js';
import { f64, one } from './dense.js';
import type { PlannerInstance } from './instance.js';
import { MachineSearch } from './machineSearch.js';
import type { DayPrices, Room } from './prices.js';
import { machineTable, nodeOfDay } from './tables.js';

/** What of the workshop's days the plans of machines take. */
export interface Load {
  readonly minutes: Float64Array;
  readonly bays: Float64Array;
}

/** A machine's plan for each machine: together they may take more than there is. */
export type Choice = readonly Column[];

/** What a plan costs where its minutes and bays cost something besides. */
export function pricedColumn({ cost, days, minutes }: Column, { minute, bay }: DayPrices): number {
  let whole = cost;
  for (let at = 0; at < days.length; at += 1) {
    const day = one(days, at);
    whole += f64(minute, day) * one(minutes, at) + f64(bay, day);
  }
  return whole;
}

/** Adds a plan to a load (1), or takes it out (-1). */
export function carry(load: Load, { days, minutes }: Column, by: 1 | -1): void {
  for (let at = 0; at < days.length; at += 1) {
    const day = one(days, at);
    load.minutes[day] = f64(load.minutes, day) + by * one(minutes, at);
    load.bays[day] = f64(load.bays, day) + by;
  }
}

/** Whether a plan fits into what is left. */
export function fits({ days, minutes }: Column, room: Room): boolean {
  for (let at = 0; at < days.length; at += 1) {
    const day = one(days, at);
    if (one(minutes, at) > f64(room.minutes, day) + 1e-9 || f64(room.bays, day) < 1) return false;
  }
  return true;
}

export function costOfChoice(choice: Choice): number {
  return choice.reduce((sum, { cost }) => sum + cost, 0);
}

/** The plans of all machines that were found so far, and the searches that find more. */
export class Pool {
  readonly searches: readonly MachineSearch[];
  readonly all: Column[] = [];
  readonly byMachine: readonly Column[][];
  /** of each workshop day: what there is, and what is settled where that is more */
  readonly minutes: Float64Array;
  readonly bays: Float64Array;
  private readonly known = new Map<string, Column>();

  constructor(readonly instance: PlannerInstance) {
    this.searches = instance.machines.map((_machine, at) => new MachineSearch(machineTable(instance, at)));
    this.byMachine = instance.machines.map(() => []);
    this.minutes = Float64Array.from(instance.days, ({ minutes }) => minutes);
    this.bays = Float64Array.from(instance.days, ({ bays }) => bays);
    const settled = this.loadOf(instance.machines.map((_machine, at) => this.settled(at)));
    for (const [day, minutes] of settled.minutes.entries())
      this.minutes[day] = Math.max(f64(this.minutes, day), minutes);
    for (const [day, bays] of settled.bays.entries()) this.bays[day] = Math.max(f64(this.bays, day), bays);
  }

  /** Puts a plan in; the one that is known already where it is. */
  add(column: Column): { readonly column: Column; readonly isNew: boolean } {
    const known = this.known.get(column.key);
    if (known) return { column: known, isNew: false };
    this.known.set(column.key, column);
    this.all.push(column);
    one(this.byMachine, column.machine).push(column);
    return { column, isNew: true };
  }

  keep(column: Column): Column {
    return this.add(column).column;
  }

  /** The plan that does what is settled, and nothing else: it always fits. */
  settled(machine: number): Column {
    const search = one(this.searches, machine);
    const done = search.empty();
    const { width } = search.table;
    for (const { day, items } of one(this.instance.machines, machine).locked) {
      const place = this.instance.days.findIndex((each) => each.day === day);
      const node = place < 0 ? 0 : nodeOfDay(search.table, place);
      if (node > 0) for (const item of items) done[item * width + node] = 1;
    }
    return search.column(done);
  }

  nothing(): Load {
    const { length } = this.instance.days;
    return { minutes: new Float64Array(length), bays: new Float64Array(length) };
  }

  loadOf(choice: Choice): Load {
    const load = this.nothing();
    for (const column of choice) carry(load, column, 1);
    return load;
  }

  roomBeside(load: Load): Room {
    return {
      minutes: this.minutes.map((minutes, day) => minutes - f64(load.minutes, day)),
      bays: this.bays.map((bays, day) => bays - f64(load.bays, day)),
    };
  }

  /** How much a load is beyond what there is: minutes, and bays at so many minutes each. */
  beyond(load: Load, minutesOfBay = 50): number {
    let beyond = 0;
    for (let day = 0; day < this.minutes.length; day += 1) {
      beyond += Math.max(0, f64(load.minutes, day) - f64(this.minutes, day));
      beyond += minutesOfBay * Math.max(0, f64(load.bays, day) - f64(this.bays, day));
    }
    return beyond;
  }

  /** The cheapest known plan of a machine at prices. */
  cheapest(machine: number, prices: DayPrices): Column | null {
    let best: Column | null = null;
    let least = Infinity;
    for (const column of one(this.byMachine, machine)) {
      const cost = pricedColumn(column, prices);
      if (cost < least) [best, least] = [column, cost];
    }
    return best;
  }
}
