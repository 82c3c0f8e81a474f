import { f64, i32 } from './dense.js';
import type { ItemTable } from './tables.js';

/** The cheapest times of one item: the nodes on which it is done. */
export class ShortestPath {
  private readonly reached: Float64Array;
  private readonly before: Int32Array;
  /** the nodes of the last path, the later first, and how many there are */
  readonly nodes: Int32Array;
  length = 0;

  constructor(private readonly n: number) {
    this.reached = new Float64Array(n + 2);
    this.before = new Int32Array(n + 2);
    this.nodes = new Int32Array(n + 2);
  }

  /** Its cost at what being done on each node costs (Infinity: not there); Infinity where there is no path. */
  find({ tails, tailCosts, starts }: ItemTable, nodeCost: Float64Array): number {
    const { n, reached, before, nodes } = this;
    reached[0] = 0;
    for (let node = 1; node <= n + 1; node += 1) {
      const own = node <= n ? f64(nodeCost, node) : 0;
      let best = Infinity;
      let from = -1;
      if (own < Infinity) {
        const end = i32(starts, node + 1);
        for (let at = i32(starts, node); at < end; at += 1) {
          const tail = i32(tails, at);
          const cost = f64(reached, tail) + f64(tailCosts, at);
          if (cost < best) {
            best = cost;
            from = tail;
          }
        }
      }
      reached[node] = best + own;
      before[node] = from;
    }
    let count = 0;
    for (let node = i32(before, n + 1); node > 0; node = i32(before, node)) {
      nodes[count] = node;
      count += 1;
    }
    this.length = count;
    return f64(reached, n + 1);
  }
}
