import { dayNumber } from '../calendar/civilDate.js';
import { dayNumberAt } from '../calendar/zoneDay.js';
import { shareOf, sharedUsage } from '../meter/attachment.js';
import type { Attachment } from '../meter/attachment.js';
import { toLife } from '../meter/segment.js';
import type { UsePlan } from '../season/usePlan.js';
import { forecastUsage } from '../usage/forecastUsage.js';
import { lifeAtDay } from '../usage/passed.js';
import type { UsageModel } from '../usage/usageModel.js';
import type { ScheduleContext } from './scheduleContext.js';
import type { MeterStanding } from './standing.js';
import type { MeterName } from './trigger.js';

/** The meters of a machine by name; the engine's is always there. */
export type Meters = ReadonlyMap<MeterName, MeterStanding> & { readonly engine: MeterStanding };

/** An attachment works when the machine does, but not as many hours as the engine: its own meter alone tells how many. */
function ownStanding(
  hours: Extract<Attachment['hours'], { kind: 'own' }>,
  plan: UsePlan,
  context: ScheduleContext,
): MeterStanding {
  const readings = toLife(hours.readings, hours.segments);
  const points = readings.map(({ at, life }) => ({ day: dayNumberAt(at, context.site.timeZone), life }));
  const noPlan: UsePlan = { ...plan, working: [] };
  return {
    life: readings.at(-1)?.life ?? 0,
    usage: forecastUsage(points, noPlan, context.day),
    lifeAt: (point) => lifeAtDay(points, dayNumber(point.on)),
  };
}

/** Where the meters of a machine stand: the engine's, and one for each attachment. */
export function meterStandings(
  attachments: readonly Attachment[],
  engine: { readonly life: number; readonly usage: UsageModel },
  context: ScheduleContext,
  plan: UsePlan,
): Meters {
  const standing: MeterStanding = { ...engine, lifeAt: (point) => point.life };
  const meters = new Map<MeterName, MeterStanding>([['engine', standing]]);
  for (const { meter, hours } of attachments) {
    meters.set(
      meter,
      hours.kind === 'own'
        ? ownStanding(hours, plan, context)
        : {
            life: shareOf(hours, engine.life),
            usage: sharedUsage(hours, engine.usage),
            lifeAt: (point) => shareOf(hours, point.life),
          },
    );
  }
  return Object.assign(meters, { engine: standing });
}
