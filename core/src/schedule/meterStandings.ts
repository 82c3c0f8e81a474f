import { dayNumber } from '../calendar/civilDate.js';
import { dayNumberAt } from '../calendar/zoneDay.js';
import { shareOf, sharedUsage } from '../meter/attachment.js';
import type { Attachment } from '../meter/attachment.js';
import { toLife } from '../meter/segment.js';
import type { UsePlan } from '../season/usePlan.js';
import { forecastUsage } from '../usage/forecastUsage.js';
import { lifeAtDay } from '../usage/passed.js';
import type { UsagePoint } from '../usage/usageModel.js';
import type { ScheduleContext } from './scheduleContext.js';
import type { MeterStanding } from './standing.js';
import type { MeterName } from './trigger.js';

/** The meters of a machine by name; the engine's is always there. */
export type Meters = ReadonlyMap<MeterName, MeterStanding> & { readonly engine: MeterStanding };

interface EngineMeter extends Omit<MeterStanding, 'lifeAt' | 'engineHoursPerHour'> {
  readonly points: readonly UsagePoint[];
}

/** Hours of the engine for one of an attachment, as long as both have run; hour for hour before. */
function perHour(engine: number, own: number): number {
  return engine > 0 && own > 0 ? Math.max(1, engine / own) : 1;
}

/** An attachment works when the machine does, but not as many hours as the engine: its own meter alone tells how many. */
function ownStanding(
  hours: Extract<Attachment['hours'], { kind: 'own' }>,
  engine: EngineMeter,
  plan: UsePlan,
  context: ScheduleContext,
): MeterStanding {
  const readings = toLife(hours.readings, hours.segments);
  const points = readings.map(({ at, life }) => ({ day: dayNumberAt(at, context.site.timeZone), life }));
  const first = points[0];
  const life = readings.at(-1)?.life ?? 0;
  const noPlan: UsePlan = { ...plan, working: [] };
  return {
    ...{ life, segments: hours.segments, readings },
    engineHoursPerHour: first
      ? perHour(engine.life - lifeAtDay(engine.points, first.day), life - first.life)
      : 1,
    usage: forecastUsage(points, noPlan, context.day),
    lifeAt: (point) => lifeAtDay(points, dayNumber(point.on)),
  };
}

/** Where the meters of a machine stand: the engine's, and one for each attachment. */
export function meterStandings(
  attachments: readonly Attachment[],
  engine: EngineMeter,
  context: ScheduleContext,
  plan: UsePlan,
): Meters {
  const { life, segments, readings, usage } = engine;
  const standing: MeterStanding = {
    ...{ life, segments, readings, usage, engineHoursPerHour: 1 },
    lifeAt: (point) => point.life,
  };
  const meters = new Map<MeterName, MeterStanding>([['engine', standing]]);
  for (const { meter, hours } of attachments) {
    meters.set(
      meter,
      hours.kind === 'own'
        ? ownStanding(hours, engine, plan, context)
        : {
            ...{ life: shareOf(hours, engine.life), segments: [], readings: [] },
            engineHoursPerHour: 1 / hours.share,
            usage: sharedUsage(hours, engine.usage),
            lifeAt: (point) => shareOf(hours, point.life),
          },
    );
  }
  return Object.assign(meters, { engine: standing });
}
