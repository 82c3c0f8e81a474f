import type { Assignment } from './column.js';
import { f64, one, u8 } from './dense.js';
import { visitMinutesOf } from './instance.js';
import type { PricedMachine } from './prices.js';
import { pricedCost } from './respond.js';
import { Restricted } from './restricted.js';
import type { Said } from './restricted.js';
import { SplitBound } from './splitBound.js';

/** What an exact search found: the cheapest plan below its target, or null; and what no plan costs less than. */
export interface Found {
  readonly done: Assignment | null;
  readonly cost: number;
  readonly bound: number;
}

/** In how many branches at most, and how near to the cheapest is near enough. */
export interface SearchEffort {
  readonly most: number;
  readonly near: number;
}

/** Plans of which something is said, what they cost at least, and the split that says so; `next` parts them: null where nothing does. */
interface Branch {
  readonly said: readonly Said[];
  readonly bound: number;
  readonly parts: Float64Array;
  readonly next: Omit<Said, 'isThere'> | null;
}

/** Steps of the bound at first, and in each branch, which goes on from that of its parent. */
const FIRST_STEPS = 20;
const STEPS = 15;
/** So little of what is shared may be unpaid: what a branch costs at least is what its plan costs, then. */
const NEARLY = 0.01;

/**
 * The cheapest plan of a machine at its prices, by branch and bound over the bound that splits what items share. Where items use something
 * without paying it all, there is a branch with it, paid by all plans, and one without; where a visit is too long, one with an item of it
 * and one without. The branch with the least bound is parted first, so that what is known when it stops is as much as can be.
 */
export class ExactSearch {
  private readonly restricted: Restricted;
  private readonly split: SplitBound;
  private readonly written: Assignment;
  private best = Infinity;
  private found: Assignment | null = null;

  constructor(private readonly priced: PricedMachine) {
    this.restricted = new Restricted(priced);
    this.split = new SplitBound(this.restricted);
    this.written = new Uint8Array(priced.table.items.length * priced.table.width);
  }

  /** The cheapest plan that costs less than `below`, from a split of what is shared. */
  find(below: number, { most, near }: SearchEffort, parts: Float64Array): Found {
    this.best = below;
    this.found = null;
    const first = this.branch([], { bound: -Infinity, parts }, FIRST_STEPS);
    const open: Branch[] = first ? [first] : [];
    /** of branches that nothing parts */
    let least = Infinity;
    for (let count = 1; count < most && open.length > 0; count += 2) {
      const branch = takeLeast(open);
      if (branch.bound >= this.best - near) {
        least = Math.min(least, branch.bound);
        break;
      }
      const { next } = branch;
      if (!next) {
        least = Math.min(least, branch.bound);
        continue;
      }
      for (const isThere of [true, false]) {
        const part = this.branch([...branch.said, { ...next, isThere }], branch, STEPS);
        if (part) open.push(part);
      }
    }
    const bound = open.reduce((sofar, branch) => Math.min(sofar, branch.bound), Math.min(least, this.best));
    return { done: this.found, cost: this.best, bound };
  }

  /** Null where no plan of a branch is better than the best. */
  private branch(said: readonly Said[], from: Pick<Branch, 'bound' | 'parts'>, steps: number): Branch | null {
    const { restricted, split } = this;
    if (!restricted.apply(said)) return null;
    split.load(from.parts);
    split.begin();
    const own = restricted.constant + split.better(steps, this.best - restricted.constant);
    const bound = Math.max(from.bound, own);
    if (bound >= this.best - 1e-7) return null;
    split.write(this.written);
    const cost = pricedCost(this.priced, this.written);
    if (cost < this.best) {
      this.best = cost;
      this.found = this.written.slice();
    }
    return { said, bound, parts: split.save(), next: this.parting() };
  }

  /** What parts the plans of the branch that was looked at last. */
  private parting(): Branch['next'] {
    const unpaid = this.split.mostUnpaid();
    if (unpaid && unpaid.by > NEARLY) return { what: 'shared', place: unpaid.shared, node: unpaid.node };
    return this.ofTooLong();
  }

  /** The longest item of the visit that is most too long, but of those that are said to be there. */
  private ofTooLong(): Branch['next'] {
    const { table, limit } = this.priced;
    let most = 1e-9;
    let next: Branch['next'] = null;
    for (let node = 1; node <= table.n; node += 1) {
      const own = [...table.items.keys()].filter((item) => u8(this.written, item * table.width + node) === 1);
      const over = own.length === 0 ? 0 : visitMinutesOf(table, own) - f64(limit, node);
      if (over <= most) continue;
      const free = own.filter((item) => !this.restricted.isSettled(item, node));
      free.sort((a, b) => one(table.items, b).minutes - one(table.items, a).minutes);
      const [longest] = free;
      if (longest === undefined) continue;
      most = over;
      next = { what: 'item', place: longest, node };
    }
    return next;
  }
}

/** Takes out the branch with the least bound. */
function takeLeast(open: Branch[]): Branch {
  let least = 0;
  for (let at = 1; at < open.length; at += 1) if (one(open, at).bound < one(open, least).bound) least = at;
  const branch = one(open, least);
  open[least] = one(open, open.length - 1);
  open.pop();
  return branch;
}
