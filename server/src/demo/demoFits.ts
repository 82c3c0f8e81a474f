import type { Component, FitStanding } from '@yugator/core';

/** What fits a demonstration machine: component, article, how much (null: by the card, or one), and how it stands to the original. */
type DemoFit = readonly [
  component: Component,
  article: string,
  quantity: number | null,
  standing?: FitStanding,
  reason?: string,
];

const GREASE: DemoFit = ['greasePoints', 'Grease cartridge, NLGI 2, 400 g', null];

const V_TWIN: readonly DemoFit[] = [
  ['engineOil', '10W-30 engine oil', null],
  ['engineOilFilter', 'Oil filter, V-twin', null],
  ['airFilter', 'Air filter, V-twin', null],
  ['fuelFilter', 'Fuel filter, in-line', null],
  ['sparkPlugs', 'Spark plug, 5/8 in', 2],
  GREASE,
];

const CART: readonly DemoFit[] = [
  ['engineOilFilter', 'Oil filter, utility vehicle', null],
  ['airFilter', 'Air filter, utility vehicle', null],
  ['hydraulicFilters', 'Hydraulic filter pair, utility vehicle', null],
  ['driveBelt', 'Drive belt, utility vehicle', null],
  ['transaxleOil', 'Transmission and hydraulic oil', 3.2],
  ['frontDifferentialOil', '80W-90 gear oil, GL-5', 0.35],
  GREASE,
];

/** By the model of the machine. */
export const FITS: Readonly<Record<string, readonly DemoFit[]>> = {
  R46: [
    ...V_TWIN,
    ['blades', 'Blade, 46 in deck', 2],
    ['deckBelt', 'Deck belt, riding mower', null],
    [
      'engineOilFilter',
      'Oil filter, V-twin, tall',
      null,
      'substitute',
      'taller, same thread and gasket; clears the frame',
    ],
  ],
  L30: [
    ['engineOil', '10W-30 engine oil', null],
    ['engineOilFilter', 'Oil filter, small engine', null],
    ['airFilter', 'Air filter, single cylinder', null],
    ['sparkPlugs', 'Spark plug, 5/8 in', null],
  ],
  Z52: [
    ...V_TWIN,
    ['blades', 'Blade, 52 in deck', 3],
    ['deckBelt', 'Deck belt, zero-turn', null],
    ['hydroOil', '20W-50 hydro oil', 4.2],
    ['hydroFilters', 'Hydro filter, zero-turn', 2],
  ],
  D28: [
    ['engineOil', '15W-40 diesel engine oil', null],
    ['engineOilFilter', 'Oil filter, tractor', null],
    ['airFilter', 'Primary air element, tractor', null],
    ['fuelFilter', 'Fuel filter, tractor', null],
    ['coolant', 'Coolant, ready mixed', null],
    ['fanBelt', 'Fan belt, tractor', null],
    ['radiatorHoses', 'Radiator hose set, tractor', null],
    ['transmissionOil', 'Transmission and hydraulic oil', null],
    ['transmissionFilter', 'Transmission filter, tractor', null],
    ['transmissionStrainer', 'Transmission strainer, tractor', null],
    ['frontAxleOil', '80W-90 gear oil, GL-5', null],
    GREASE,
  ],
  H400: [['engineOil', '10W-40 engine oil', null], ['sparkPlugs', 'Spark plug, long reach', null], ...CART],
  H500D: [
    ['engineOil', '15W-40 diesel engine oil', null],
    ['fuelFilter', 'Fuel filter, diesel utility vehicle', null],
    ...CART,
  ],
};
