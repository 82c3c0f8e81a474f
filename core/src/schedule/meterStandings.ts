import { dayNumber } from '../calendar/civilDate.js';
import { dayNumberAt } from '../calendar/zoneDay.js';
import { shareOf, sharedUsage } from '../meter/attachment.js';
import type { Attachment } from '../meter/attachment.js';
import { toLife } from '../meter/segment.js';
import type { UsePlan } from '../season/usePlan.js';
import { forecastAttachment } from '../usage/forecastUsage.js';
import { readingsUpTo } from '../meter/segment.js';
import { lifeAtDay } from '../usage/passed.js';
import type { UsagePoint } from '../usage/usageModel.js';
import type { ScheduleContext } from './scheduleContext.js';
import type { MeterStanding } from './standing.js';
import type { MeterName } from './trigger.js';

/** The meters of a machine by name; the engine's is always there. */
export type Meters = ReadonlyMap<MeterName, MeterStanding> & { readonly engine: MeterStanding };

/** Attachments that run so much less than the engine that its hours must not stand in for theirs: they are asked for. */
const ASKED_FOR: readonly MeterName[] = ['loader'];

/** The meter that hours by `name` count on: its own, else the engine's; null where it must be asked for. */
export function meterNamed(name: MeterName, meters: Meters): MeterStanding | null {
  return meters.get(name) ?? (ASKED_FOR.includes(name) ? null : meters.engine);
}

interface EngineMeter extends Pick<MeterStanding, 'life' | 'segments' | 'readings' | 'usage'> {
  readonly points: readonly UsagePoint[];
}

/** Hours of the engine for one of an attachment, as long as both have run; hour for hour before. */
function perHour(engine: number, own: number): number {
  return engine > 0 && own > 0 ? Math.max(1, engine / own) : 1;
}

/** When a machine is planned to work, and from which day on nothing is expected of it. */
export interface WorkPlan {
  readonly plan: UsePlan;
  readonly stopped: number | null;
}

/** An attachment works when the machine does, but not as many hours as the engine: its own meter alone tells how many. */
function ownStanding(
  meter: MeterName,
  hours: Extract<Attachment['hours'], { kind: 'own' }>,
  engine: EngineMeter,
  { plan, stopped }: WorkPlan,
  context: ScheduleContext,
): MeterStanding {
  const { day, site } = context;
  const readings = readingsUpTo(toLife(hours.readings, hours.segments), day, site.timeZone);
  const points = readings.map(({ at, life }) => ({ day: dayNumberAt(at, site.timeZone), life }));
  const first = points[0];
  const life = readings.at(-1)?.life ?? hours.hoursAtStart;
  return {
    name: meter,
    life,
    segments: hours.segments,
    readings,
    engineHoursPerHour: first
      ? perHour(engine.life - lifeAtDay(engine.points, first.day), life - first.life)
      : 1,
    usage: forecastAttachment(points, plan, day, stopped),
    lifeAt: (point) => (first ? lifeAtDay(points, dayNumber(point.on)) : life),
  };
}

/** Where the meters of a machine stand: the engine's, and one for each attachment. */
export function meterStandings(
  attachments: readonly Attachment[],
  engine: EngineMeter,
  work: WorkPlan,
  context: ScheduleContext,
): Meters {
  const { life, segments, readings, usage } = engine;
  const standing: MeterStanding = {
    name: 'engine',
    life,
    segments,
    readings,
    usage,
    engineHoursPerHour: 1,
    lifeAt: (point) => point.life,
  };
  const meters = new Map<MeterName, MeterStanding>([['engine', standing]]);
  for (const { meter, hours } of attachments) {
    meters.set(
      meter,
      hours.kind === 'own'
        ? ownStanding(meter, hours, engine, work, context)
        : {
            name: meter,
            life: shareOf(hours, engine.life),
            segments: [],
            readings: [],
            engineHoursPerHour: 1 / hours.share,
            usage: sharedUsage(hours, engine.usage),
            lifeAt: (point) => shareOf(hours, point.life),
          },
    );
  }
  return Object.assign(meters, { engine: standing });
}
