import type { ScheduleItem } from '../item.js';

const STRENGTH = ['inspect', 'clean', 'replace'];

function renewsDirectly(a: ScheduleItem, b: ScheduleItem): boolean {
  if (a.id === b.id || a.renews.includes(b.id)) return true;
  if (a.component !== b.component) return false;
  const [strong, weak] = [STRENGTH.indexOf(a.action), STRENGTH.indexOf(b.action)];
  return a.action === b.action || (weak >= 0 && strong > weak);
}

/** Whether doing `a` does `b`, directly or by way of other `items`, of which `seen` were tried. */
export function renews(
  a: ScheduleItem,
  b: ScheduleItem,
  items: readonly ScheduleItem[],
  seen: readonly ScheduleItem[] = [],
): boolean {
  if (renewsDirectly(a, b)) return true;
  const onward = items.filter(
    (between) => between !== a && !seen.includes(between) && renewsDirectly(a, between),
  );
  return onward.some((between) => renews(between, b, items, [...seen, a, ...onward]));
}
