import { arcCost } from './arc.js';
import type { Looked } from './arc.js';
import { f64, i32, one, u8 } from './dense.js';
import { visitMinutesOf } from './instance.js';
import type { PlannerInstance, PlannerMachine } from './instance.js';

/**
 * An item of a machine over the nodes of its machine: 0 is today, 1 to n its days in the workshop, n + 1 the end. What an arc costs stands
 * at `from * width + to`; the arcs that may be stand also in a list, by the node at which they end.
 */
export interface ItemTable {
  /** minutes of the work itself */
  readonly minutes: number;
  /** kinds of opening that it needs, each a place in the machine's `access` */
  readonly access: readonly number[];
  readonly costs: Float64Array;
  readonly tails: Int32Array;
  readonly tailCosts: Float64Array;
  /** where the arcs that end at a node begin in the list, one more than nodes */
  readonly starts: Int32Array;
  /** 1 for nodes on which it may be done at all */
  readonly reachable: Uint8Array;
}

/** A machine as the search sees it. */
export interface MachineTable {
  readonly place: number;
  /** days in the workshop: nodes 1 to n */
  readonly n: number;
  readonly width: number;
  /** which of the workshop's days a node is, by node; -1 of today and the end */
  readonly dayOf: Int32Array;
  /** what a visit costs besides minutes, by node: being away, and what was published */
  readonly ownCost: Float64Array;
  /** what every plan costs: published visits, each taken back until it is kept */
  readonly constant: number;
  readonly setUp: number;
  readonly access: Float64Array;
  readonly items: readonly ItemTable[];
  /** 1 for nodes that are visited whatever it costs */
  readonly mustVisit: Uint8Array;
  /** minutes of the workshop, by node; of what is settled where that takes more */
  readonly room: Float64Array;
}

/** The workshop days on which a machine may come: not those on which it must not be missing, but for what is settled. */
function candidates({ days }: PlannerInstance, machine: PlannerMachine): number[] {
  const locked = new Set(machine.locked.map(({ day }) => day));
  const blocked = new Set(machine.blocked);
  return days.flatMap(({ day, minutes }, at) =>
    locked.has(day) || (!blocked.has(day) && minutes >= machine.setUp) ? [at] : [],
  );
}

/** What a visit on a day costs by what the crew was told: to keep a day gives back what taking it back would cost. */
function toldCost({ published }: PlannerInstance, machine: PlannerMachine, day: number): number {
  if (!published) return 0;
  const told = machine.published.find((visit) => visit.day === day);
  if (told) return -told.dropCost;
  return day <= published.until ? published.addCost : 0;
}

function settledMinutes(machine: PlannerMachine, day: number): number {
  const items = machine.locked.filter((visit) => visit.day === day).flatMap((visit) => visit.items);
  return items.length > 0 ? visitMinutesOf(machine, [...new Set(items)]) : 0;
}

function itemTable(of: Looked, days: readonly number[]): ItemTable {
  const { horizon } = of.instance;
  const n = days.length;
  const width = n + 2;
  const costs = new Float64Array(width * width).fill(Infinity);
  const reachable = new Uint8Array(width);
  reachable[0] = 1;
  const tails: number[] = [];
  const tailCosts: number[] = [];
  const starts = new Int32Array(width + 1);
  for (let to = 1; to <= n + 1; to += 1) {
    starts[to] = tails.length;
    const isEnd = to === n + 1;
    for (let from = 0; from < to; from += 1) {
      if (u8(reachable, from) === 0) continue;
      const arc = {
        from: from === 0 ? null : one(days, from - 1),
        to: isEnd ? horizon : one(days, to - 1),
        isEnd,
      };
      const cost = arcCost(of, arc);
      if (cost === Infinity) continue;
      costs[from * width + to] = cost;
      tails.push(from);
      tailCosts.push(cost);
      reachable[to] = 1;
    }
  }
  starts[width] = tails.length;
  return {
    minutes: of.item.minutes,
    access: of.item.access,
    costs,
    tails: Int32Array.from(tails),
    tailCosts: Float64Array.from(tailCosts),
    starts,
    reachable,
  };
}

/** What the search needs of a machine. */
export function machineTable(instance: PlannerInstance, place: number): MachineTable {
  const machine = one(instance.machines, place);
  const chosen = candidates(instance, machine);
  const days = chosen.map((at) => one(instance.days, at).day);
  const locked = new Set(machine.locked.map(({ day }) => day));
  const byNode = <T>(today: T, of: (day: number, at: number) => T): T[] => [
    today,
    ...days.map((day, at) => of(day, one(chosen, at))),
    today,
  ];
  return {
    place,
    n: days.length,
    width: days.length + 2,
    dayOf: Int32Array.from(byNode(-1, (_day, at) => at)),
    ownCost: Float64Array.from(
      byNode(0, (day) => one(machine.awayCost, day) + toldCost(instance, machine, day)),
    ),
    constant: machine.published.reduce((sum, { dropCost }) => sum + dropCost, 0),
    setUp: machine.setUp,
    access: Float64Array.from(machine.access),
    items: machine.items.map((item, at) => itemTable({ instance, machine, item, place: at }, days)),
    mustVisit: Uint8Array.from(byNode(0, (day) => Number(locked.has(day)))),
    room: Float64Array.from(
      byNode(0, (day, at) => Math.max(one(instance.days, at).minutes, settledMinutes(machine, day))),
    ),
  };
}

/** What an arc costs. */
export function arcOf({ costs }: ItemTable, width: number, from: number, to: number): number {
  return f64(costs, from * width + to);
}

/** The node of a workshop day; 0 where the machine does not come on it. */
export function nodeOfDay({ dayOf, n }: MachineTable, day: number): number {
  for (let node = 1; node <= n; node += 1) if (i32(dayOf, node) === day) return node;
  return 0;
}
