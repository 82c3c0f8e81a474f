import { emptySpecCard } from '@yugator/contracts';
import type { Cooling, Fuel, MachineClass, SpecCardDto } from '@yugator/contracts';
import { parseRange } from '@yugator/core';
import type { Component, Dimension, QuantityRange, Unit } from '@yugator/core';

/** The columns of a demonstration machine that follow from its class and fuel. */
interface DemoSpec {
  readonly cooling: Cooling;
  readonly cylinders: number;
  readonly enginePower: number;
  readonly spec: SpecCardDto;
}

/** A figure as its book prints it, in SI to the millionth. */
function figure(text: string, dimension: Dimension, unit: Unit): QuantityRange {
  const range = parseRange(text, dimension, unit);
  if (!range) throw new Error(`"${text}" is no figure of ${dimension}.`);
  const round = (value: number) => Math.round(value * 1e6) / 1e6;
  return { low: round(range.low), high: round(range.high) };
}

function litres(text: string): number {
  return figure(text, 'volume', 'L').low;
}

function tyre(axle: 'front' | 'rear', pressure: string, sidewall: string): SpecCardDto['tyres'][number] {
  return {
    axle,
    ...figure(pressure, 'pressure', 'kPa'),
    sidewallMaximum: figure(sidewall, 'pressure', 'kPa').low,
  };
}

function torque(component: Component, text: string, fastener = ''): SpecCardDto['torques'][number] {
  return { component, fastener, ...figure(text, 'torque', 'N·m') };
}

function grade(name: string, category: string, fromCelsius: number | null, toCelsius: number | null) {
  return { grade: name, category, fromCelsius, toCelsius };
}

const GASOLINE_GRADES = [
  grade('10W-30', 'API SJ or later', -18, 40),
  grade('5W-30', 'API SJ or later', -30, 5),
];
const DIESEL_GRADES = [
  grade('15W-40', 'API CI-4 or later', -15, 45),
  grade('10W-30', 'API CI-4 or later', -25, 30),
];

function mower(): SpecCardDto {
  return {
    ...emptySpecCard(),
    fluids: [
      {
        component: 'engineOil',
        fluid: '',
        litresWithFilter: litres('2.1 qt'),
        litresWithoutFilter: litres('1.9 qt'),
        firstPour: litres('1.8 qt'),
        betweenMarks: litres('0.5 qt'),
        marks: 'ADD to FULL',
        reading: 'screwedIn',
        grades: GASOLINE_GRADES,
      },
    ],
    torques: [
      torque('sparkPlugs', '15 lbf·ft'),
      torque('bladeBolts', '50-60 lbf·ft'),
      torque('engineDrainPlug', '12 lbf·ft'),
    ],
    plugs: [{ type: '5/8 in hexagon', gap: figure('0.030 in', 'length', 'mm').low }],
    tyres: [tyre('front', '12-14 psi', '22 psi'), tyre('rear', '10-12 psi', '14 psi')],
    plays: [{ component: 'deckBelt', name: 'Deck belt, mid-span', ...figure('10-13 mm', 'length', 'mm') }],
    decks: [
      {
        name: 'Mowing deck',
        sidewaysWithin: 3,
        ...figure('3-6 mm', 'length', 'mm'),
        tipsWithin: figure('1/8 in', 'length', 'mm').low,
      },
    ],
    fittings: [
      { component: 'deckSpindles', name: '', where: 'three, from above', reach: 'guardHole', strokes: 2 },
      { component: 'casters', name: 'Caster pivots', where: 'left and right', reach: 'cap', strokes: 3 },
      { component: 'axles', name: 'Axle pivot', where: 'behind the front axle, from the left', strokes: 3 },
    ],
    filters: [{ component: 'engineOilFilter', name: '', note: 'spin-on, 65 mm, as tall as the old one' }],
    tools: [
      {
        component: 'sparkPlugs',
        name: '',
        note: 'deep socket 5/8 in; left one from behind the muffler guard',
      },
    ],
  };
}

function tractor(): SpecCardDto {
  return {
    ...emptySpecCard(),
    service: {
      oilDrain: 'twoPlugs',
      oilFilter: 'upright',
      fuelFilter: 'bowl',
      fuelBleed: 'screw',
      airCleaner: 'twoStage',
      battery: 'serviceable',
    },
    fluids: [
      {
        component: 'engineOil',
        fluid: '',
        litresWithFilter: 3.7,
        litresWithoutFilter: 3.4,
        betweenMarks: 0.9,
        marks: 'lower to upper hole',
        reading: 'pushedHome',
        readAt: 'cold',
        grades: DIESEL_GRADES,
      },
      {
        component: 'transmissionOil',
        fluid: 'Transmission and hydraulic oil',
        litresWithFilter: 18,
        litresWithoutFilter: null,
        grades: [],
      },
      {
        component: 'frontAxleOil',
        fluid: '',
        litresWithFilter: 4.5,
        litresWithoutFilter: null,
        drain: 'twoPlugs',
        grades: [],
      },
      { component: 'coolant', fluid: '', litresWithFilter: 5, litresWithoutFilter: null, grades: [] },
    ],
    torques: [
      torque('wheelNuts', '77-90 N·m', 'Wheel bolts, front'),
      torque('wheelNuts', '109-126 N·m', 'Wheel bolts, rear'),
      torque('engineDrainPlug', '35 N·m', 'Sump plugs, both'),
    ],
    tyres: [tyre('front', '160-180 kPa', '200 kPa'), tyre('rear', '120-140 kPa', '160 kPa')],
    plays: [
      { component: 'fanBelt', name: 'Fan belt, mid-span', ...figure('7-9 mm', 'length', 'mm') },
      {
        component: 'brakePedals',
        name: 'Brake pedals, free play',
        ...figure('30-40 mm', 'length', 'mm'),
        equalWithin: 5,
      },
    ],
    charging: [{ ...figure('13.8-14.5 V', 'voltage', 'V'), idleLow: 13.2 }],
    fittings: [
      { component: 'axles', name: 'Front axle pivot', where: 'two, front and rear', strokes: 4 },
      { component: 'threePointLinkage', name: '', where: 'lifting rods', strokes: 3 },
    ],
    filters: [{ component: 'engineOilFilter', name: '', note: 'spin-on, 80 mm' }],
    access: [
      {
        component: 'fuelFilter',
        opens: 'batteryOut',
        name: '',
        note: '',
        openMinutes: null,
        closeMinutes: null,
      },
      {
        component: 'engineOilFilter',
        opens: null,
        name: 'side panel, right',
        note: 'two clips and a 10 mm bolt; lift the hydraulic lines to slip it in',
        openMinutes: 2,
        closeMinutes: 3,
      },
    ],
    tools: [{ component: 'engineDrainPlug', name: '', note: 'two plugs, 17 mm: both must be drained' }],
  };
}

/** The engine of a cart sits under its bed; its drain plug is reached from below. */
const UNDER_THE_BED = ['sparkPlugs', 'airFilter', 'fuelFilter', 'engineOilFilter'] as const;

function cart(fuel: Fuel): SpecCardDto {
  const isDiesel = fuel === 'diesel';
  return {
    ...emptySpecCard(),
    fluids: [
      {
        component: 'engineOil',
        fluid: '',
        litresWithFilter: isDiesel ? 2.8 : 1.9,
        litresWithoutFilter: isDiesel ? 2.5 : 1.7,
        grades: isDiesel ? DIESEL_GRADES : [grade('10W-40', 'API SJ or later', -20, 45)],
      },
    ],
    torques: [torque('wheelNuts', '80-90 N·m', 'Wheel nuts')],
    plugs: isDiesel ? [] : [{ type: '13/16 in hexagon', gap: 0.8 }],
    tyres: [tyre('front', '14 psi', '20 psi'), tyre('rear', '14-16 psi', '24 psi')],
    fittings: [
      {
        component: 'axles',
        name: '',
        where: 'turn with the axle; roll the vehicle to reach them',
        strokes: 3,
      },
    ],
    filters: [{ component: 'hydraulicFilters', name: '', note: 'two of different size' }],
    access: UNDER_THE_BED.map((component) => ({
      component,
      opens: 'bedUp',
      name: '',
      note: '',
      openMinutes: null,
      closeMinutes: null,
    })),
  };
}

/** What stands on the spec card of a demonstration machine, and the figures of its engine. */
export function specCardOf(machineClass: MachineClass, fuel: Fuel): DemoSpec {
  switch (machineClass) {
    case 'ridingMower':
      return { cooling: 'air', cylinders: 2, enginePower: figure('20 hp', 'power', 'kW').low, spec: mower() };
    case 'zeroTurn':
      return { cooling: 'air', cylinders: 2, enginePower: figure('24 hp', 'power', 'kW').low, spec: mower() };
    case 'compactTractor':
      return { cooling: 'liquid', cylinders: 3, enginePower: 20.5, spec: tractor() };
    case 'utilityVehicle':
      return { cooling: 'liquid', cylinders: fuel === 'diesel' ? 3 : 1, enginePower: 15, spec: cart(fuel) };
  }
}
