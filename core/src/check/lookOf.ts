import type { Component } from '../component/components.js';
import type { LookKey } from './looks.js';

/** The look that a component is judged by, where there is one with pictures. */
const LOOK_OF: Partial<Record<Component, LookKey>> = {
  airFilter: 'airFilter',
  airPreFilter: 'airFilter',
  sparkPlugs: 'sparkPlug',
  engineOil: 'engineOil',
  transmissionOil: 'hydraulicOil',
  transaxleOil: 'hydraulicOil',
  hydroOil: 'hydraulicOil',
  hydraulicOil: 'hydraulicOil',
  frontAxleOil: 'gearOil',
  frontDifferentialOil: 'gearOil',
  gearboxOil: 'gearOil',
  coolant: 'coolant',
  brakeFluid: 'brakeFluid',
  blades: 'blade',
  deckSpindles: 'spindle',
  belts: 'belt',
  fanBelt: 'belt',
  driveBelt: 'belt',
  deckBelt: 'belt',
  tyres: 'tyre',
  frontTyres: 'tyre',
  rearTyres: 'tyre',
  radiatorHoses: 'hose',
  hydraulicHoses: 'hose',
  fuelLines: 'hose',
  fuelFilter: 'fuelFilter',
};

/** The look of the first of some components that has one; null where none has. */
export function lookOf(components: readonly Component[]): LookKey | null {
  for (const component of components) {
    const look = LOOK_OF[component];
    if (look) return look;
  }
  return null;
}
