import { dayNumber, daysBetween } from '../calendar/civilDate.js';
import type { CivilDate } from '../calendar/civilDate.js';
import type { Extension } from './baseline.js';
import type { ScheduleItem } from './item.js';
import { calendarLimit, furtherBy, hoursLimit } from './limit.js';
import type { Limit } from './limit.js';
import type { MeterStanding, Standing } from './standing.js';
import type { MeterName } from './trigger.js';
import { everyCalendarOf } from './triggers/everyCalendar.js';
import { everyHoursOn, hoursOf } from './triggers/everyHours.js';
import { daysWindow, hoursWindow } from './window.js';

function meterOf({ meter }: Extension, standing: Standing): MeterStanding | null {
  return standing.meter(meter ?? 'engine') ?? standing.meter('engine');
}

/** Regular hours of an item on a meter, `ahead` times; null where it has none and some are wanted. */
function hoursAhead(item: ScheduleItem, name: MeterName, standing: Standing, ahead: number): number | null {
  if (ahead === 0) return 0;
  const regular = everyHoursOn(item, name, standing);
  return regular ? ahead * hoursOf(regular, item) : null;
}

function dayAhead(item: ScheduleItem, on: CivilDate, ahead: number): CivilDate | null {
  if (ahead === 0) return on;
  const regular = everyCalendarOf(item);
  return regular ? furtherBy(on, regular, ahead) : null;
}

/** Life hours that a meter is expected to show on a day; what it shows now where nobody can tell. */
function expectedLife(meter: MeterStanding, on: CivilDate, { today }: Standing): number {
  return dayNumber(on) <= today ? meter.life : (meter.usage.lifeOn(on)?.expected ?? meter.life);
}

/**
 * Limits that a judgement sets in place of those of the book, `ahead` regular intervals of the item further on. Where it names a
 * day alone and the item counts hours alone, they go on from the hours expected on that day.
 */
export function judgedLimits(
  judgement: Extension,
  item: ScheduleItem,
  standing: Standing,
  ahead: number,
): Limit[] {
  const { made, untilLife, untilOn } = judgement;
  const meter = meterOf(judgement, standing);
  const limits: Limit[] = [];
  if (untilLife !== null && meter) {
    const from = meter.lifeAt(made);
    const more = hoursAhead(item, meter.name, standing, ahead);
    const window = hoursWindow(untilLife - from, item.window);
    if (more !== null) limits.push(hoursLimit(judgement, meter, { from, at: untilLife + more }, window));
  }
  if (untilOn !== null) {
    const on = dayAhead(item, untilOn, ahead);
    const window = daysWindow(daysBetween(made.on, untilOn), item.window);
    if (on) limits.push(calendarLimit(judgement, { from: made.on, on }, window, standing));
  }
  if (limits.length === 0 && untilOn !== null && meter) {
    const more = hoursAhead(item, meter.name, standing, ahead);
    if (more === null) return [];
    const span = { from: meter.lifeAt(made), at: expectedLife(meter, untilOn, standing) + more };
    limits.push(hoursLimit(judgement, meter, span, hoursWindow(more / ahead, item.window)));
  }
  return limits;
}
