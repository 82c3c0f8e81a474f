import { judgeBattery, RECHARGE_BELOW_VOLTS } from '../check/battery.js';
import { shownValue } from '../units/quantity.js';
import { defineMeasurement, field } from './define.js';

/** The voltage of a battery at rest. */
export interface BatteryMeasurement {
  readonly kind: 'battery';
  readonly label: string;
  /** V from which it is good; null or left out for the usual figure */
  readonly goodFrom?: number | null;
}

export const battery = defineMeasurement<BatteryMeasurement>({
  fields: ({ label }) => [field('volts', label, 'voltage')],
  judge: ({ goodFrom }, { volts }) =>
    volts === undefined ? null : judgeBattery(volts, goodFrom ?? RECHARGE_BELOW_VOLTS).kind === 'charged',
  wanted: ({ goodFrom }, units) =>
    `${shownValue(goodFrom ?? RECHARGE_BELOW_VOLTS, 'voltage', units)} or more`,
});
