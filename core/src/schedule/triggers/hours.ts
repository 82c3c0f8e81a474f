import type { Standing } from '../standing.js';
import { METERS } from '../trigger.js';
import type { MeterName } from '../trigger.js';
import { isWithin, MOST_HOURS } from './define.js';
import type { Loose, TriggerFault } from './define.js';

/** Hours on a meter, as both kinds that count them have them. */
export interface HoursFields {
  readonly hours: number;
  readonly meter: MeterName;
}

/** The hours and the meter that loose fields name: the engine's where they name none. */
export function parseHours({ hours, meter }: Loose): HoursFields | TriggerFault {
  const named = METERS.find((name) => name === (meter ?? 'engine'));
  if (!isWithin(hours, 0.1, MOST_HOURS)) return 'hours';
  return named ? { hours, meter: named } : 'meter';
}

/** The meter that hours by `name` count on: its own name where it must be asked for. */
export function meterName(name: MeterName, standing: Standing): MeterName {
  return standing.meter(name)?.name ?? name;
}
