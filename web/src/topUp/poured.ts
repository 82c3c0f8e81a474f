import type { FluidTakenDto, PouredDto } from '@yugator/contracts';
import type { Component } from '@yugator/core';

/** A top-up as far as it is typed. */
export type Poured = Omit<PouredDto, 'litres'> & {
  /** null while nothing is typed, NaN while it cannot be read */
  readonly litres: number | null;
};

/** A top-up as it is asked for: a fluid, else the first of the card, as the card names it. */
export function pouredAtFirst(fluids: readonly FluidTakenDto[], component?: Component): Poured {
  const taken = fluids.find((fluid) => fluid.component === component) ?? fluids[0];
  return {
    component: taken?.component ?? 'engineOil',
    grade: taken?.grades[0]?.grade ?? '',
    litres: null,
  };
}

/** As it is sent; an amount that is missing or cannot be read is no number, and refused as such. */
export function toDto({ litres, ...poured }: Poured): PouredDto {
  return { ...poured, litres: litres ?? NaN };
}
