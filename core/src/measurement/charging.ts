import { judgeCharging } from '../check/battery.js';
import type { ChargingVolts } from '../check/battery.js';
import { shownRange, shownValue } from '../units/quantity.js';
import { defineMeasurement, field } from './define.js';
import type { LimitsFrom } from './define.js';

/** What the alternator gives. */
export interface ChargingMeasurement extends ChargingVolts, LimitsFrom {
  readonly kind: 'charging';
  readonly label: string;
}

export const charging = defineMeasurement<ChargingMeasurement>({
  fields: () => [field('volts', 'Working speed', 'voltage'), field('idle', 'Idle', 'voltage')],
  judge(wanted, { volts, idle }) {
    if (volts === undefined) return null;
    const isGoodAtIdle = idle === undefined || judgeCharging(idle, 'idle', wanted) === 'charging';
    return isGoodAtIdle && judgeCharging(volts, 'workingSpeed', wanted) === 'charging';
  },
  wanted: (volts, units) =>
    `${shownRange(volts, 'voltage', units)}, at idle ${shownValue(volts.idleLow, 'voltage', units)} or more`,
});
