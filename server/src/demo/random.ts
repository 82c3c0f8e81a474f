/** Numbers that look random and are the same for the same seed (mulberry32, public domain, from memory). */
export interface Random {
  /** from 0, below 1 */
  next(): number;
  /** from `low`, below `high` */
  between(low: number, high: number): number;
  /** true in `share` of all cases */
  chance(share: number): boolean;
}

export function random(seed: number): Random {
  let state = seed >>> 0;
  const next = (): number => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
  };
  return {
    next,
    between: (low, high) => low + next() * (high - low),
    chance: (share) => next() < share,
  };
}
