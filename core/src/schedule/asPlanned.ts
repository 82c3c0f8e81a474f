import type { CivilDate } from '../calendar/civilDate.js';
import type { ComingWork } from './comingWork.js';
import type { ScheduleItem } from './item.js';

/**
 * Coming work by a published plan: the next times of an item are the days on which it is planned (by the item's id, in order), which are
 * certain; later ones come as the schedule expects them. What is planned without being expected comes too.
 */
export function asPlanned(
  works: readonly ComingWork[],
  items: readonly ScheduleItem[],
  planned: ReadonlyMap<string, readonly CivilDate[]>,
  until: CivilDate,
): ComingWork[] {
  return items.flatMap((item) => {
    const own = works.filter((work) => work.item.id === item.id);
    const days = planned.get(item.id) ?? [];
    const last = days.at(-1);
    if (last === undefined) return own;
    const certain = days
      .filter((on) => on <= until)
      .map((on) => ({ item, earlyOn: on, expectedOn: on, lateOn: on, nth: 0 }));
    // As many of the expected times are meant by them, however early or late the days are.
    const later = own.slice(days.length).filter(({ expectedOn }) => expectedOn > last);
    return [...certain, ...later].map((work, nth) => ({ ...work, nth }));
  });
}
