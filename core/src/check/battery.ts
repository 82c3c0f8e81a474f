import { readTable } from './readTable.js';
import type { TableLine } from './readTable.js';

/**
 * Rest voltage of a 12 V lead-acid battery against its charge, at about 25 °C after some hours of rest.
 * Source: handbook table: 12.65 V full, 12.4 V about 75 %, 12.2 V about 50 %, 12.0 V about 25 %; 11.9 V and below counts as flat.
 */
const CHARGE_TABLE: readonly [TableLine, ...TableLine[]] = [
  [11.9, 0],
  [12.0, 25],
  [12.2, 50],
  [12.4, 75],
  [12.65, 100],
];

/** Below this it is recharged (common practice). */
export const RECHARGE_BELOW_VOLTS = 12.4;
/** Half charged: whatever a crew holds, none below it is good. */
const LEAST_GOOD_VOLTS = 12.2;
/** Below half charged the acid of a battery freezes in a hard frost. */
const FREEZES_BELOW_PERCENT = 50;

export interface BatteryVerdict {
  readonly kind: 'charged' | 'recharge' | 'flat';
  /** 0 to 100 */
  readonly percent: number;
  /** whether a frost can burst it */
  readonly mayFreeze: boolean;
}

/** The charge of a rested battery, in percent, linear between the lines of the table. */
export function chargeOf(restVolts: number): number {
  return Math.round(readTable(CHARGE_TABLE, restVolts));
}

/** What a rest voltage means; `goodFrom`: the voltage from which the crew accepts it, never below half charged. */
export function judgeBattery(restVolts: number, goodFrom = RECHARGE_BELOW_VOLTS): BatteryVerdict {
  const percent = chargeOf(restVolts);
  const mayFreeze = percent < FREEZES_BELOW_PERCENT;
  if (percent === 0) return { kind: 'flat', percent, mayFreeze };
  return {
    kind: restVolts < Math.max(goodFrom, LEAST_GOOD_VOLTS) ? 'recharge' : 'charged',
    percent,
    mayFreeze,
  };
}

/** What an alternator gives, V. */
export interface ChargingVolts {
  readonly low: number;
  readonly high: number;
  /** least at idle, where it may be a little less */
  readonly idleLow: number;
}

/** 13.8 to 14.7 V at working speed, where the machine's card says nothing (common practice). */
export const USUAL_CHARGING: ChargingVolts = { low: 13.8, high: 14.7, idleLow: 13 };

export type ChargingVerdict =
  | 'charging'
  /** too little: belt, connections or alternator */
  | 'low'
  /** too much: the regulator boils the battery */
  | 'high';

/** Judges the voltage at the battery with the engine running. */
export function judgeCharging(
  volts: number,
  at: 'workingSpeed' | 'idle',
  { low, high, idleLow }: ChargingVolts,
): ChargingVerdict {
  if (volts < (at === 'idle' ? idleLow : low)) return 'low';
  return volts > high ? 'high' : 'charging';
}
