import { dayNumber } from '../calendar/civilDate.js';
import type { CivilDate } from '../calendar/civilDate.js';
import { LEAST_OF_YEAR, yearlyVisitOf } from '../procedure/yearly.js';
import type { AnnualRule, YearlyVisit } from '../procedure/yearly.js';
import type { DueAnswer } from '../schedule/due.js';
import type { MachineSchedule } from '../schedule/machineSchedule.js';
import type { PlannedVisit, PlannerItem, PlannerMachine } from './instance.js';

/** By when before its season a machine is ready, and within how many days after its last it is laid up. */
export interface SeasonMargins {
  readonly readyDays: number;
  readonly layUpDays: number;
}

/** What crews do where they said nothing (common practice). */
export const USUAL_MARGINS: SeasonMargins = { readyDays: 3, layUpDays: 21 };

/** Days before its season from which what wakes a machine counts for it. */
const WAKE_DAYS = 45;
/** An item belongs to an edge when it is due so near it, by its offset or a season of its own. */
const NEAR_DAYS = 45;
const DAYS_OF_YEAR = 365;

interface Span {
  readonly today: CivilDate;
  readonly horizon: number;
}

/** The next season of a machine that begins within what is planned. */
export function seasonOf(
  { plan }: MachineSchedule,
  { today, horizon }: Span,
  { readyDays }: SeasonMargins,
): PlannerMachine['season'] {
  const now = dayNumber(today);
  const next = plan.working.find(({ first }) => first > now && first - now < horizon);
  if (!next) return null;
  const start = next.first - now;
  return { start, ready: Math.max(0, start - readyDays), wakeFrom: Math.max(0, start - WAKE_DAYS) };
}

/** The rest that a machine is in, or the next that begins within what is planned; none of a machine that works on. */
export function layUpOf(
  { plan }: MachineSchedule,
  { today, horizon }: Span,
  { layUpDays }: SeasonMargins,
): PlannerMachine['layUp'] {
  const now = dayNumber(today);
  const ends = plan.working.map(({ last }) => last + 1 - now);
  const starts = plan.working.map(({ first }) => first - now);
  const isWorking = plan.working.some(({ first, last }) => first <= now && now <= last);
  const end = isWorking ? ends.find((day) => day > 0) : ends.filter((day) => day <= 0).at(-1);
  const isPlanned = end !== undefined && end < horizon && !starts.includes(end);
  return isPlanned ? { end: Math.max(0, end), by: Math.max(0, end + layUpDays) } : null;
}

/** The day of the edge at which an item is due next, counted from today; null where no edge sets it. */
function dueAtEdge({ limits }: DueAnswer, edge: 'first' | 'last', today: CivilDate): number | null {
  for (const limit of limits)
    if (limit.kind === 'calendar' && limit.rule.kind === 'seasonEdge' && limit.rule.edge === edge)
      return dayNumber(limit.on) - dayNumber(today);
  return null;
}

/** Whether a yearly item that belongs to a visit will have used up enough of its year by then. */
function isOfYear({ item, limits }: DueAnswer, visit: YearlyVisit, annual: AnnualRule, by: number): boolean {
  if (yearlyVisitOf(item, annual) !== visit) return false;
  const yearly = limits.find(({ kind, rule }) => kind === 'calendar' && rule.kind === 'everyCalendar');
  return yearly === undefined || yearly.left - by <= (1 - LEAST_OF_YEAR) * DAYS_OF_YEAR;
}

/**
 * Whether an item is work of waking its machine up, or of laying it up: by its books, where it is due next at that edge of the season,
 * or by the house rule, where it is yearly and that is its time of the year.
 */
export function edgeWork(
  answer: DueAnswer,
  { season, layUp }: Pick<PlannerMachine, 'season' | 'layUp'>,
  today: CivilDate,
  annual: AnnualRule,
): Pick<PlannerItem, 'wakesUp' | 'laysUp'> {
  const isNear = (due: number | null, day: number) => due !== null && Math.abs(due - day) <= NEAR_DAYS;
  const [first, last] = [dueAtEdge(answer, 'first', today), dueAtEdge(answer, 'last', today)];
  return {
    wakesUp:
      season !== null && (isNear(first, season.start) || isOfYear(answer, 'spring', annual, season.start)),
    laysUp:
      layUp !== null &&
      (isNear(last, layUp.end) ||
        (last !== null && last < layUp.end) ||
        isOfYear(answer, 'autumn', annual, layUp.end)),
  };
}

/** What a visit is of the year's two: it wakes its machine up before the season, or lays it up once it rests; null of all others. */
export function edgeOfVisit(
  { items: own, season, layUp }: Pick<PlannerMachine, 'items' | 'season' | 'layUp'>,
  { day, items }: PlannedVisit,
): 'wakeUp' | 'layUp' | null {
  const does = (kind: 'wakesUp' | 'laysUp') => items.some((place) => own[place]?.[kind]);
  if (season && day >= season.wakeFrom && day < season.start && does('wakesUp')) return 'wakeUp';
  return layUp && day >= layUp.end && does('laysUp') ? 'layUp' : null;
}
