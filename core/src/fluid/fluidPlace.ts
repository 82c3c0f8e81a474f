import type { Component, ComponentFuel } from '../component/components.js';
import type { FitStanding } from '../shelf/fit.js';
import type { FluidPlace, FluidTraits } from './compatibility.js';
import type { ApprovedGrade } from './viscosity.js';

/** A fluid that fits a machine, as far as it says what others must be like. */
export interface KnownFluid {
  readonly component: Component;
  readonly standing: FitStanding;
  readonly fluid: FluidTraits | null;
}

/** The machine that a fluid is to go into. */
export interface FluidMachine {
  readonly fuel: ComponentFuel;
  readonly fluids: readonly {
    readonly component?: Component | null;
    readonly grades: readonly ApprovedGrade[];
  }[];
}

/** Where a fluid is to go: what the card of the machine and its original fluid say of a component. */
export function fluidPlace(
  { fuel, fluids }: FluidMachine,
  component: Component,
  fits: readonly KnownFluid[],
  expected: FluidPlace['expected'],
): FluidPlace {
  const original = fits.find((fit) => fit.component === component && fit.standing === 'original');
  return {
    component,
    fuel,
    approved: fluids.find((line) => line.component === component)?.grades ?? [],
    original: original?.fluid ?? null,
    expected,
  };
}
