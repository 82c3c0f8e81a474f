import type { JobDto } from '@yugator/contracts';
import type { FluidTarget } from '@yugator/core';

/** The machine of a job, as fluids are judged against it. */
export function fluidTargetOf({ setUp, fluids, expected }: JobDto): FluidTarget {
  return { fuel: setUp.fuel, fluids: setUp.spec.fluids, fits: fluids, expected };
}
