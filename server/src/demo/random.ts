import { seeded } from '@yugator/core';

/** Numbers that look random and are the same for the same seed. */
export interface Random {
  /** from 0, below 1 */
  next(): number;
  /** from `low`, below `high` */
  between(low: number, high: number): number;
  /** true in `share` of all cases */
  chance(share: number): boolean;
}

export function random(seed: number): Random {
  const next = seeded(seed);
  return {
    next,
    between: (low, high) => low + next() * (high - low),
    chance: (share) => next() < share,
  };
}
