import { inOrder } from '../plan.js';
import type { Link, Task } from '../plan.js';

/** Minutes of the fastest plan for one pair of hands, found by trying every order; for a handful of tasks only. */
export function fastestByTrying(tasks: readonly Task[], links: readonly Link[]): number {
  inOrder(tasks.length, links);
  let best = Infinity;
  const starts = new Map<number, number>();
  const extend = (free: number, end: number): void => {
    if (end >= best) return;
    if (starts.size === tasks.length) {
      best = end;
      return;
    }
    tasks.forEach((task, index) => {
      if (starts.has(index)) return;
      const into = links.filter(({ to }) => to === index);
      if (into.some(({ from }) => !starts.has(from))) return;
      const ready = Math.max(0, ...into.map(({ from, lag }) => (starts.get(from) ?? 0) + lag));
      const start = task.handsOn === 0 ? ready : Math.max(ready, free);
      starts.set(index, start);
      extend(
        task.handsOn === 0 ? free : start + task.handsOn,
        Math.max(end, start + task.handsOn + task.handsOff),
      );
      starts.delete(index);
    });
  };
  extend(0, 0);
  return best;
}
