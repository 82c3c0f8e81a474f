import type { Component } from '../component/components.js';
import type { SheetStep } from './compose.js';
import { litresOfNeed } from './fillNeed.js';

/** Litres of a fluid that come out or go in. */
export interface FetchedFluid {
  readonly fluid: Component;
  readonly litres: number;
}

function litresOf(steps: readonly SheetStep[], side: 'drains' | 'fills'): FetchedFluid[] {
  const litres = new Map<Component, number>();
  for (const own of steps) {
    const need = own[side];
    if (need) litres.set(need.fluid, litresOfNeed(need));
  }
  return [...litres].map(([fluid, amount]) => ({ fluid, litres: amount }));
}

/** Litres that some steps drain, by fluid. */
export function drainedLitres(steps: readonly SheetStep[]): FetchedFluid[] {
  return litresOf(steps, 'drains');
}

/** Litres that some steps fill in, by fluid. */
export function filledLitres(steps: readonly SheetStep[]): FetchedFluid[] {
  return litresOf(steps, 'fills');
}
