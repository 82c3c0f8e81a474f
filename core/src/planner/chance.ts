import { one } from './dense.js';

/** A list in an order by chance (Fisher and Yates). */
export function shuffled<T>(list: readonly T[], random: () => number): T[] {
  const mixed = [...list];
  for (let at = mixed.length - 1; at > 0; at -= 1) {
    const other = Math.floor(random() * (at + 1));
    const own = one(mixed, at);
    mixed[at] = one(mixed, other);
    mixed[other] = own;
  }
  return mixed;
}

/** A place by chance, each as often as its weight says; -1 where none weighs anything. */
export function drawn(count: number, random: () => number, weightOf: (at: number) => number): number {
  let sum = 0;
  let chosen = -1;
  for (let at = 0; at < count; at += 1) {
    const weight = weightOf(at);
    if (weight <= 1e-6) continue;
    sum += weight;
    if (random() * sum < weight) chosen = at;
  }
  return chosen;
}

/** One of a set by chance; null where there is none. */
export function nth(set: ReadonlySet<number>, random: () => number): number | null {
  let left = Math.floor(random() * set.size);
  for (const each of set) {
    if (left === 0) return each;
    left -= 1;
  }
  return null;
}
