import { DEFAULT_HOUSE, itemFindings, sheetSteps, usualFittings } from '@yugator/core';
import type { Finding, FoundFields, MachineSetUp, Measurement, ScheduleItem } from '@yugator/core';
import type { DemoMachine } from './larkmere.js';
import type { Random } from './random.js';
import { specCardOf } from './specCards.js';

/** Items whose figures the crew wrote down each time, and the share of the times at which they were as they should be. */
const KEPT: readonly (readonly [tag: string, item: string, goodShare: number])[] = [
  ['T-01', 'Brake pedals: free play', 1],
  ['T-02', 'Fan belt: deflection', 1],
  ['U-01', 'Wheel nuts: to torque', 1],
  ['M-05', 'Tyre pressures, rear pair', 0],
  ['M-07', 'Tyre pressures, rear pair', 0.8],
  ['R-03', 'Belts: look over', 0.7],
];

/** As most of these checks go: figures somewhere inside their limits, to the tenth. */
function goodFigures(measurement: Measurement, random: Random): FoundFields {
  const inside = (low: number, high: number) =>
    Math.round((low + (0.35 + 0.3 * random.next()) * (high - low)) * 10) / 10;
  switch (measurement.kind) {
    case 'range':
      return { value: inside(measurement.low, measurement.high) };
    case 'freePlay':
    case 'tyres': {
      const side = inside(measurement.low, measurement.high);
      return { left: side, right: side };
    }
    case 'battery':
      return { volts: inside(12.4, 12.8) };
    case 'charging':
      return { volts: inside(measurement.low, measurement.high), idle: measurement.idleLow + 0.3 };
    case 'deck':
      return { left: 76, right: 77, front: 73, rear: 73 + inside(measurement.low, measurement.high) };
    case 'bladeTips':
      return { first: 80, second: 80.5 };
    case 'grease':
      return { strokes: measurement.usual };
    case 'bolts':
      return { loose: 0, checked: 8 };
  }
}

/** The usual ways of being out: one tyre low, bolts loose, a battery half flat. */
function badFigures(measurement: Measurement, random: Random): FoundFields {
  const good = goodFigures(measurement, random);
  switch (measurement.kind) {
    case 'tyres':
      return { ...good, left: Math.round(measurement.low * 0.8) };
    case 'bolts':
      return { loose: 2, checked: 8 };
    case 'battery':
      return { volts: 12.2 };
    case 'range':
    case 'freePlay':
    case 'charging':
    case 'deck':
    case 'bladeTips':
    case 'grease':
      return good;
  }
}

/** What a check of an item of a machine found; nothing where the crew wrote nothing down. */
export function demoFindings(machine: DemoMachine, item: ScheduleItem, random: Random): Finding[] | null {
  const kept = KEPT.find(([tag, name]) => tag === machine.tag && name === item.name);
  if (!kept) return null;
  const { machineClass, fuel } = machine;
  const { cooling, spec } = specCardOf(machineClass, fuel);
  const setUp: MachineSetUp = {
    machineClass,
    fuel,
    cooling,
    spec,
    ...DEFAULT_HOUSE,
    fittings: usualFittings(machineClass, fuel),
    items: [item],
  };
  const figures = random.chance(kept[2]) ? goodFigures : badFigures;
  const steps = sheetSteps(setUp);
  const found = steps.flatMap(({ key, measurement }) =>
    measurement ? [[key, figures(measurement, random)] as const] : [],
  );
  return itemFindings(steps, new Map(found)).get(item.id) ?? null;
}
