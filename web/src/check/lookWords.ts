import type { LookKey } from '@yugator/core';

/** What a guided look is at. */
export const LOOK_WORDS: Record<LookKey, string> = {
  airFilter: 'air filter',
  sparkPlug: 'spark plugs',
  engineOil: 'the oil',
  blade: 'blades',
  spindle: 'spindles',
  belt: 'belts',
  tyre: 'tyres',
  hose: 'hoses',
  hydraulicOil: 'hydraulic oil',
  gearOil: 'gear oil',
  coolant: 'coolant',
  brakeFluid: 'brake fluid',
  fuelFilter: 'fuel filter',
};
