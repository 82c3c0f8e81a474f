import { dayNumber } from '../calendar/civilDate.js';
import type { CivilDate } from '../calendar/civilDate.js';
import { dayNumberAt } from '../calendar/zoneDay.js';
import type { Attachment } from '../meter/attachment.js';
import { readingsUpTo, toLife } from '../meter/segment.js';
import type { MeterSegment } from '../meter/segment.js';
import type { LifeReading, Reading } from '../meter/reading.js';
import { workingStateOn } from '../season/usePlan.js';
import type { Participation, UsePlan, WorkingState } from '../season/usePlan.js';
import { forecastUsage } from '../usage/forecastUsage.js';
import type { UsageModel, UsagePoint } from '../usage/usageModel.js';
import type { EntryIntoService, ItemHistory } from './baseline.js';
import type { DueAnswer } from './due.js';
import { comingWork } from './comingWork.js';
import type { ComingWork } from './comingWork.js';
import { dueAnswers, itemAsker } from './dueAnswers.js';
import type { ScheduleItem } from './item.js';
import { meterNamed, meterStandings } from './meterStandings.js';
import type { Meters } from './meterStandings.js';
import type { ScheduleContext } from './scheduleContext.js';
import type { Standing } from './standing.js';
import { stoppedOn, workingTime } from './workingTime.js';
import type { MachineStatus } from './workingTime.js';
import { lastRun, lifeAtDay } from '../usage/passed.js';

/** All that the schedule of one machine follows from. Voided facts are left out by the caller. */
export interface MachineFacts {
  readonly entry: EntryIntoService;
  readonly segments: readonly MeterSegment[];
  readonly readings: readonly Reading[];
  readonly attachments: readonly Attachment[];
  readonly participation: readonly Participation[];
  readonly status: MachineStatus;
  readonly items: readonly ScheduleItem[];
  /** lines of its books that it does not have, of which some may have been done */
  readonly omitted: readonly ScheduleItem[];
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
  /** what its seasons say */
  readonly working: WorkingState;
  /** whether it works, by its seasons and its status */
  readonly works: boolean;
  readonly isLaidUp: boolean;
  readonly hoursLast12Months: number;
  /** every item, worst first */
  readonly answers: readonly DueAnswer[];
  /** the times at which its items may fall due up to and with a day */
  readonly comingUntil: (until: CivilDate) => readonly ComingWork[];
}

const DAYS_OF_12_MONTHS = 365;

/** The readings as one point a day, the last of it, after the point of entering service. */
function pointsOf(readings: readonly LifeReading[], entry: EntryIntoService, timeZone: string): UsagePoint[] {
  const points: UsagePoint[] = [];
  const entered: UsagePoint = { day: dayNumber(entry.on), life: entry.life };
  for (const reading of readings) {
    const point: UsagePoint = { day: dayNumberAt(reading.at, timeZone), life: reading.life };
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
  const readings = readingsUpTo(toLife(facts.readings, facts.segments), day, site.timeZone);
  const lastReading = readings.at(-1) ?? null;
  const life = lastReading?.life ?? entry.life;
  const points = pointsOf(readings, entry, site.timeZone);
  const plan = context.planOf(facts.participation);
  const stopped = stoppedOn(facts.status, lastRun(points) ?? day);
  const usage = forecastUsage(points, plan, day, stopped);
  const working = workingTime(plan, facts.status, stopped, day);
  const { segments } = facts;
  const engine = { life, segments, readings, points, usage };
  const meters = meterStandings(facts.attachments, engine, { plan, stopped }, context);
  const hoursLast12Months = Math.max(0, life - lifeAtDay(points, day - DAYS_OF_12_MONTHS));
  const standing: Standing = {
    today: day,
    horizon: context.horizon,
    working,
    hoursLast12Months,
    grid: site.grid,
    spansOf: (season, from) =>
      season === null ? context.workingSpansOf(facts.participation, from) : context.spansOf(season, from),
    meter: (name) => meterNamed(name, meters),
  };
  // Nothing of a retired machine falls due.
  const items = facts.status.kind === 'retired' ? [] : facts.items;
  const ask = itemAsker(items, facts.omitted, history, entry, standing);
  return {
    life,
    lastReading,
    readings,
    points,
    plan,
    usage,
    meters,
    hoursLast12Months,
    works: working.works,
    isLaidUp: working.isLaidUp,
    working: workingStateOn(plan, day),
    answers: dueAnswers(items, ask),
    comingUntil: (until) => comingWork(items, ask, until),
  };
}
