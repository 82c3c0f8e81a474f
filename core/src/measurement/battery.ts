import { judgeBattery, RECHARGE_BELOW_VOLTS } from '../check/battery.js';
import { shownValue } from '../units/quantity.js';
import { defineMeasurement, field } from './define.js';

/** The voltage of a battery at rest. */
export interface BatteryMeasurement {
  readonly kind: 'battery';
  readonly label: string;
}

export const battery = defineMeasurement<BatteryMeasurement>({
  fields: ({ label }) => [field('volts', label, 'voltage')],
  judge: (_battery, { volts }) => (volts === undefined ? null : judgeBattery(volts).kind === 'charged'),
  wanted: (_battery, units) => `${shownValue(RECHARGE_BELOW_VOLTS, 'voltage', units)} or more`,
});
