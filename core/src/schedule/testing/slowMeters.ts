import type { Attachment } from '../../meter/attachment.js';
import type { MachineFacts } from '../machineSchedule.js';
import type { MeterName } from '../trigger.js';
import type { SlowDays } from './slowDays.js';
import { lifeOnDay, pointsOf, readMeter, sharedMeter } from './slowMeter.js';
import type { SlowMeter, SlowPoint } from './slowMeter.js';

/** The meters of a machine by name. */
export class SlowMeters {
  private readonly known = new Map<MeterName, SlowMeter>();

  constructor(
    facts: MachineFacts,
    points: readonly SlowPoint[],
    private readonly days: SlowDays,
  ) {
    const engine = readMeter('engine', points, facts.entry.life, days, (point) => point.life);
    this.known.set('engine', engine);
    for (const { meter, hours } of facts.attachments) {
      this.known.set(meter, this.attached(meter, hours, engine));
    }
  }

  /** The meter of that name, else the engine's; null for a loader of which the machine says nothing. */
  named(name: MeterName): SlowMeter | null {
    return this.known.get(name) ?? (name === 'loader' ? null : (this.known.get('engine') ?? null));
  }

  areSame(a: MeterName, b: MeterName): boolean {
    return (this.named(a)?.name ?? a) === (this.named(b)?.name ?? b);
  }

  private attached(name: MeterName, hours: Attachment['hours'], engine: SlowMeter): SlowMeter {
    if (hours.kind === 'share') return sharedMeter(name, hours, engine);
    const points = pointsOf(hours.readings, this.days.today);
    return readMeter(name, points, hours.hoursAtStart, this.days, (point) =>
      points.length ? lifeOnDay(points, point.on) : hours.hoursAtStart,
    );
  }
}
