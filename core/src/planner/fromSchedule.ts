import { addDays, daysBetween } from '../calendar/civilDate.js';
import type { CivilDate } from '../calendar/civilDate.js';
import type { AnnualRule } from '../procedure/yearly.js';
import type { DueAnswer } from '../schedule/due.js';
import type { ScheduleItem } from '../schedule/item.js';
import type { CalendarLimit, HoursLimit } from '../schedule/limit.js';
import type { MachineSchedule } from '../schedule/machineSchedule.js';
import { meterNamed } from '../schedule/meterStandings.js';
import type { EveryHours, HoursGrid, MeterName } from '../schedule/trigger.js';
import { everyCalendarOf } from '../schedule/triggers/everyCalendar.js';
import { hoursOf } from '../schedule/triggers/everyHours.js';
import { mendingItem } from './defectWork.js';
import type { PlannableDefect } from './defectWork.js';
import type { PlannerItem, PlannerMachine, PublishedVisit, SettledVisit } from './instance.js';
import { TENTH } from './lateness.js';
import { edgeWork, layUpOf, seasonOf } from './seasonEdges.js';
import type { SeasonMargins } from './seasonEdges.js';
import { LATENESS } from './weights.js';

/** An item of a visit, as far as the plan asks. */
export interface PlannableItem {
  readonly answer: DueAnswer;
  readonly minutes: number;
  /** places in what its machine shares */
  readonly needs: readonly number[];
  /** what its parts are worth, in minutes of a mechanic */
  readonly worth: number;
  /** days until its parts are here */
  readonly notBefore: number;
}

export interface PlannableMachine {
  readonly id: string;
  readonly schedule: MachineSchedule;
  readonly setUp: number;
  readonly shared: readonly number[];
  readonly items: readonly PlannableItem[];
  /** open ones */
  readonly defects: readonly PlannableDefect[];
  /** when the house has its yearly service */
  readonly annual: AnnualRule;
  readonly locked: readonly SettledVisit[];
  readonly published: readonly PublishedVisit[];
}

/** From when, and how far, is planned. */
export interface PlanSpan {
  readonly today: CivilDate;
  readonly horizon: number;
  readonly grid: HoursGrid;
  readonly margins: SeasonMargins;
}

/** Short work without parts may come again sooner. */
const SHORT_MINUTES = 10;
const LEAST_SHARE = { short: 0.4, usual: 0.6, ofSeason: 0.9 } as const;
/** What comes once, such as every third time of something else, may be done so many days before it is due. */
const ONCE_BEFORE = 14;
const DAYS_OF_YEAR = 365;
const DAYS_OF_MONTH = 30.44;

/** Hours as the engine runs them. */
function engineHours({ meters }: MachineSchedule, meter: MeterName, hours: number): number {
  return hours * (meterNamed(meter, meters)?.engineHoursPerHour ?? 1);
}

/** Hours that the machine has run since its meter was last read, as far as is expected. */
function runSince({ usage, life }: MachineSchedule, today: CivilDate): number {
  return Math.max(0, (usage.lifeOn(today)?.expected ?? life) - life);
}

interface ByHours {
  readonly hours: number;
  readonly usedHours: number;
  readonly hoursToMark: number | null;
}

/** The hours interval of an item, as the engine runs it; null where it has none. */
function byHours({ answer }: PlannableItem, schedule: MachineSchedule, span: PlanSpan): ByHours | null {
  const { item, limits } = answer;
  const regular = item.triggers.find((trigger): trigger is EveryHours => trigger.kind === 'everyHours');
  if (!regular) return null;
  const hours = engineHours(schedule, regular.meter, hoursOf(regular, item));
  const limit = limits.find((each): each is HoursLimit => each.kind === 'hours');
  // Of what nobody knows the last time it is due now.
  const left = limit ? engineHours(schedule, limit.meter, limit.left) : 0;
  const toGo = limit ? left - runSince(schedule, span.today) : 0;
  const isOnMeter = (regular.grid ?? span.grid) === 'onMeter';
  return { hours, usedHours: hours - toGo, hoursToMark: isOnMeter ? toGo : null };
}

/** The interval of an item in days; null where it has none. */
function byDays({ answer: { item, limits } }: PlannableItem): { days: number; usedDays: number } | null {
  const every = everyCalendarOf(item);
  const isOfSeason = item.triggers.some(({ kind }) => kind === 'seasonEdge');
  if (!every && !isOfSeason) return null;
  const ofCalendar = every
    ? Math.round(every.count * (every.unit === 'month' ? DAYS_OF_MONTH : 1))
    : DAYS_OF_YEAR;
  const days = Math.max(1, ofCalendar);
  const limit = limits.find((each): each is CalendarLimit => each.kind === 'calendar');
  return limit ? { days, usedDays: days - limit.left } : { days, usedDays: limits.length ? 0 : days };
}

function leastShareOf({ minutes, worth }: PlannableItem, item: ScheduleItem): number {
  if (item.triggers.some(({ kind }) => kind === 'seasonEdge')) return LEAST_SHARE.ofSeason;
  return minutes <= SHORT_MINUTES && worth === 0 ? LEAST_SHARE.short : LEAST_SHARE.usual;
}

const NO_HOURS = { hours: null, usedHours: 0, hoursToMark: null } as const;
const NO_DAYS = { days: null, usedDays: 0 } as const;

/** By when work is done that has no interval; null where nothing says when it is due. */
function onceBy({ answer }: PlannableItem, { today }: PlanSpan): PlannerItem['once'] {
  const { expectedOn, deciding } = answer;
  if (expectedOn === null && !deciding?.overdue) return null;
  const due = expectedOn === null ? 0 : Math.max(0, daysBetween(today, expectedOn));
  return { from: Math.max(0, due - ONCE_BEFORE), due };
}

/** An item as the plan sees it; null where nothing says when it is due. */
function plannerItem(
  of: PlannableItem,
  schedule: MachineSchedule,
  span: PlanSpan,
  edges: Pick<PlannerMachine, 'season' | 'layUp'>,
  annual: AnnualRule,
): PlannerItem | null {
  const { answer, minutes, needs, worth, notBefore } = of;
  const { item, consequence } = answer;
  const hours = byHours(of, schedule, span);
  const days = byDays(of);
  const once = hours || days ? null : onceBy(of, span);
  if (!hours && !days && !once) return null;
  const { perHour, perDay } = LATENESS[consequence];
  return {
    id: item.id,
    ...(hours ?? NO_HOURS),
    ...(days ?? NO_DAYS),
    minutes,
    access: needs,
    worth,
    latePerHour: perHour,
    latePerDay: perDay,
    leastShare: leastShareOf(of, item),
    notBefore,
    once,
    ...edgeWork(answer, edges, span.today, annual),
  };
}

/** Expected hours from today to the beginning of each day, and how far they may be off. */
function usageOf({ usage }: MachineSchedule, { today, horizon }: PlanSpan) {
  const now = usage.lifeOn(today)?.expected ?? 0;
  let before = 0;
  const hoursBy = Array.from({ length: horizon + 1 }, (_, day) => {
    before = Math.max(before, (usage.lifeOn(addDays(today, day))?.expected ?? now) - now);
    return before;
  });
  const spreadOn = (day: number) => {
    const range = usage.lifeOn(addDays(today, day));
    return range ? Math.max(0, range.high - range.expected) / TENTH : 0;
  };
  const spreadOfWeek = spreadOn(Math.min(7, horizon));
  const rest = Math.max(0, spreadOn(horizon) ** 2 - (spreadOfWeek ** 2 * horizon) / 7);
  return { hoursBy, spreadOfWeek, spreadOfAll: before > 0 ? Math.sqrt(rest) / before : 0 };
}

/** A machine as the plan sees it, lines first, then defects; lines of which nothing says when they are due are left out. */
export function plannerMachine(of: PlannableMachine, span: PlanSpan): PlannerMachine {
  const { id, schedule, setUp, shared, items, defects, annual, locked, published } = of;
  const edges = {
    season: seasonOf(schedule, span, span.margins),
    layUp: layUpOf(schedule, span, span.margins),
  };
  return {
    id,
    setUp,
    access: shared,
    items: [
      ...items.flatMap((item) => plannerItem(item, schedule, span, edges, annual) ?? []),
      ...defects.flatMap((defect) => mendingItem(defect, span.today) ?? []),
    ],
    ...usageOf(schedule, span),
    awayCost: Array.from({ length: span.horizon }, () => 0),
    blocked: [],
    ...edges,
    locked,
    published,
  };
}
