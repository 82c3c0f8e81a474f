import type { MachineClass } from '@yugator/contracts';
import type { Trigger } from '@yugator/core';

/** A line of a shipped book. */
export interface CatalogueItem {
  readonly name: string;
  /** hands-on minutes, common practice */
  readonly minutes: number;
  readonly triggers: readonly Trigger[];
}

/** A book of an invented maker, with the figures that books for such machines print (common practice). */
export interface CatalogueBook {
  readonly name: string;
  readonly machineClass: MachineClass;
  readonly items: readonly CatalogueItem[];
}

function hours(every: number): Trigger {
  return { kind: 'everyHours', hours: every };
}

function months(count: number): Trigger {
  return { kind: 'everyCalendar', count, unit: 'month' };
}

function days(count: number): Trigger {
  return { kind: 'everyCalendar', count, unit: 'day' };
}

function item(name: string, minutes: number, ...triggers: Trigger[]): CatalogueItem {
  return { name, minutes, triggers };
}

export const CATALOGUE: readonly CatalogueBook[] = [
  {
    name: 'Quillon riding mower, V-twin',
    machineClass: 'ridingMower',
    items: [
      item('Engine oil and filter', 30, hours(50), months(12)),
      item('Grease axle pivot, spindles and wheels', 12, hours(25)),
      item('Deck: clean, grease spindles', 20, hours(25)),
      item('Blades: sharpen and balance', 25, hours(25)),
      item('Air pre-filter: wash', 8, hours(25)),
      item('Air filter: replace', 5, hours(100), months(12)),
      item('Fuel filter: replace', 10, months(12)),
      item('Spark plugs: replace', 15, hours(100), months(12)),
      item('Belts, battery and cooling fins: look over', 15, hours(50)),
      item('Deck: level', 20, months(12)),
    ],
  },
  {
    name: 'Verrick zero-turn, V-twin',
    machineClass: 'zeroTurn',
    items: [
      item('Engine oil and filter', 30, hours(50), months(12)),
      item('Grease all points', 12, hours(10)),
      item('Blades: sharpen and balance', 25, hours(25)),
      item('Air pre-filter: wash', 8, hours(25)),
      item('Air filter: replace', 5, hours(100), months(12)),
      item('Fuel filter: replace', 10, months(12)),
      item('Spark plugs: replace', 15, hours(100), months(12)),
      item('Hydro oil and filters', 50, hours(400)),
      item('Tyre pressures, rear pair', 5, days(7)),
      item('Battery and terminals', 10, months(12)),
    ],
  },
  {
    name: 'Dunmallet compact tractor, diesel',
    machineClass: 'compactTractor',
    items: [
      item('Engine oil and filter', 45, hours(200), months(12)),
      item('Grease points, wheel bolts, safety-start switches', 30, hours(50)),
      item('Air element: clean', 10, hours(100)),
      item('Fuel filter: clean, bleed', 15, hours(100)),
      item('Fan belt, brake free play, battery', 20, hours(100)),
      item('Transmission oil, strainer and filter', 75, hours(400)),
      item('Front axle oil', 30, hours(400)),
      item('Primary air element: replace', 5, hours(1000), months(12)),
      item('Radiator hoses and clamps: look over', 15, months(12)),
      item('Air cleaner dust valve: squeeze out', 2, days(7)),
      item('Coolant: change', 40, months(24)),
    ],
  },
  {
    name: 'Hobbin utility vehicle, gasoline',
    machineClass: 'utilityVehicle',
    items: [
      item('Engine oil and filter', 30, hours(100), months(12)),
      item('Grease axles and steering', 15, hours(25)),
      item('Wheel nuts and tyre pressures', 10, hours(50)),
      item('Spark plug: look at, set gap', 10, hours(100)),
      item('Hydraulic filters, both', 35, hours(200)),
      item('Air filter: replace', 5, hours(100), months(12)),
      item('Brakes and bed hinge: lubricate', 20, months(12)),
    ],
  },
  {
    name: 'Hobbin utility vehicle, diesel',
    machineClass: 'utilityVehicle',
    items: [
      item('Engine oil and filter', 35, hours(150), months(12)),
      item('Grease axles and steering', 15, hours(25)),
      item('Wheel nuts and tyre pressures', 10, hours(50)),
      item('Fuel filter: replace, bleed', 20, hours(200), months(12)),
      item('Hydraulic filters, both', 35, hours(200)),
      item('Air filter: replace', 5, hours(200), months(12)),
      item('Brakes and bed hinge: lubricate', 20, months(12)),
    ],
  },
];
