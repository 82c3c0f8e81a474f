import type { ScheduleItem } from '../item.js';

const STRENGTH = ['inspect', 'clean', 'replace'];

/** Whether all that `b` is done to is among what `a` is done to: listed components, or the same old words. */
export function isOn(a: ScheduleItem, b: ScheduleItem): boolean {
  if (a.components.length === 0 || b.components.length === 0)
    return a.components.length === b.components.length && a.oldWords !== '' && a.oldWords === b.oldWords;
  if ([...a.components, ...b.components].includes('other')) return false;
  return b.components.filter((component) => a.components.includes(component)).length === b.components.length;
}

function renewsDirectly(a: ScheduleItem, b: ScheduleItem): boolean {
  if (a.id === b.id || a.renews.includes(b.id)) return true;
  if (!isOn(a, b)) return false;
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
