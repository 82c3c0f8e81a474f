import { dayNumber } from '../calendar/civilDate.js';
import type { CivilDate } from '../calendar/civilDate.js';
import { dayNumberAt } from '../calendar/zoneDay.js';
import type { Attachment } from '../meter/attachment.js';
import { toLife } from '../meter/segment.js';
import type { MeterSegment } from '../meter/segment.js';
import type { LifeReading, Reading } from '../meter/reading.js';
import { workingStateOn } from '../season/usePlan.js';
import type { Participation, UsePlan, WorkingState } from '../season/usePlan.js';
import { forecastUsage } from '../usage/forecastUsage.js';
import type { UsageModel, UsagePoint } from '../usage/usageModel.js';
import type { EntryIntoService, ItemHistory } from './baseline.js';
import type { DueAnswer } from './due.js';
import { dueAnswers } from './dueAnswers.js';
import type { ScheduleItem } from './item.js';
import { isLaidUpOn, layUpsOf } from './layUps.js';
import { meterStandings } from './meterStandings.js';
import type { Meters } from './meterStandings.js';
import type { ScheduleContext } from './scheduleContext.js';
import type { MeterName } from './trigger.js';
import { lifeAtDay } from '../usage/passed.js';

/** All that the schedule of one machine follows from. Voided facts are left out by the caller. */
export interface MachineFacts {
  readonly entry: EntryIntoService;
  readonly segments: readonly MeterSegment[];
  readonly readings: readonly Reading[];
  readonly attachments: readonly Attachment[];
  readonly participation: readonly Participation[];
  /** since when the crew lead has it laid up, whatever its seasons say; null where they decide */
  readonly laidUpSince: CivilDate | null;
  readonly items: readonly ScheduleItem[];
  /** by item id */
  readonly history: ReadonlyMap<string, ItemHistory>;
}

/** A machine's schedule on a day. */
export interface MachineSchedule {
  /** life hours at the last reading, or on entering service */
  readonly life: number;
  readonly lastReading: LifeReading | null;
  /** in order of time */
  readonly readings: readonly LifeReading[];
  /** the readings by day, from entering service on */
  readonly points: readonly UsagePoint[];
  readonly plan: UsePlan;
  readonly usage: UsageModel;
  readonly meters: Meters;
  readonly working: WorkingState;
  readonly isLaidUp: boolean;
  readonly hoursLast12Months: number;
  /** every item, worst first */
  readonly answers: readonly DueAnswer[];
}

const DAYS_OF_12_MONTHS = 365;

/** The readings as one point a day, the last of it, after the point of entering service. */
function pointsOf(readings: readonly LifeReading[], entry: EntryIntoService, timeZone: string): UsagePoint[] {
  const points: UsagePoint[] = [];
  const entered = { day: dayNumber(entry.on), life: entry.life as number };
  for (const reading of readings) {
    const point = { day: dayNumberAt(reading.at, timeZone), life: reading.life as number };
    if (points.at(-1)?.day === point.day) points.pop();
    points.push(point);
  }
  const first = points[0];
  return !first || (entered.day < first.day && entered.life <= first.life) ? [entered, ...points] : points;
}

/** The schedule of one machine on the day of `context`. */
export function machineSchedule(facts: MachineFacts, context: ScheduleContext): MachineSchedule {
  const { entry, history } = facts;
  const { day, site } = context;
  const readings = toLife(facts.readings, facts.segments);
  const lastReading = readings.at(-1) ?? null;
  const life = lastReading?.life ?? entry.life;
  const points = pointsOf(readings, entry, site.timeZone);
  const plan = context.planOf(facts.participation);
  const usage = forecastUsage(points, plan, day);
  const layUps = layUpsOf(plan, facts.laidUpSince === null ? null : dayNumber(facts.laidUpSince));
  const { segments } = facts;
  const meters = meterStandings(
    facts.attachments,
    { life, segments, readings, points, usage },
    context,
    plan,
  );
  const hoursLast12Months = Math.max(0, life - lifeAtDay(points, day - DAYS_OF_12_MONTHS));
  const isLaidUp = isLaidUpOn(layUps, day);
  const standing = {
    ...{ today: day, plan, layUps, isLaidUp, hoursLast12Months },
    ...{ grid: site.grid, spansOf: context.spansOf },
    meter: (name: MeterName) => meters.get(name) ?? meters.engine,
  };
  return {
    ...{ life, lastReading, readings, points, plan, usage, meters, isLaidUp, hoursLast12Months },
    working: workingStateOn(plan, day),
    answers: dueAnswers(facts.items, history, entry, standing),
  };
}
