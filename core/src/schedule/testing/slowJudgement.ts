import type { CivilDate } from '../../calendar/civilDate.js';
import type { Extension } from '../baseline.js';
import type { ScheduleItem } from '../item.js';
import { after, between, daysBetween } from './slowCalendar.js';
import type { SlowMeter } from './slowMeter.js';

/** Where a judgement ends: at hours, or on a day. */
interface JudgedPoint {
  readonly at: number;
  readonly on: CivilDate | null;
  readonly window: number;
}

/** Whether a judgement of a point still holds, the item last done at another: one that leaves out the next was made as it was done. */
export function holds(kind: Extension['kind'], made: string, done: string | undefined): boolean {
  return done === undefined || made > done || (kind === 'leftOut' && made === done);
}

/** Where `judgement` ends, `ahead` regular intervals of the item further on: of `step` hours, of its days or months. */
export function judgedPoints(
  { untilLife, untilOn, made }: Extension,
  item: ScheduleItem,
  meter: SlowMeter,
  step: number | null,
  ahead: number,
  today: CivilDate,
): JudgedPoint[] {
  const hoursWindow = (hours: number) => item.window.hours ?? between(1, hours / 10, 10);
  const points: JudgedPoint[] = [];
  if (untilLife !== null && (ahead === 0 || step !== null)) {
    const window = hoursWindow(untilLife - meter.lifeAt(made));
    points.push({ at: untilLife + ahead * (step ?? 0), on: null, window });
  }
  const regular = item.triggers.find((trigger) => trigger.kind === 'everyCalendar');
  if (untilOn !== null && (ahead === 0 || regular)) {
    const window = item.window.days ?? between(1, daysBetween(made.on, untilOn) / 10, 14);
    const on = regular ? after(untilOn, regular.count * ahead, regular.unit) : untilOn;
    points.push({ at: 0, on, window });
  }
  if (points.length > 0 || untilOn === null || step === null) return points;
  return [{ at: hoursOn(untilOn, meter, today) + ahead * step, on: null, window: hoursWindow(step) }];
}

function hoursOn(on: CivilDate, meter: SlowMeter, today: CivilDate): number {
  return on <= today ? meter.life : (meter.lifeOn(on) ?? meter.life);
}
