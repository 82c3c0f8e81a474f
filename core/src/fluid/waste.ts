import type { Component } from '../component/components.js';
import { keysOf } from '../names/record.js';

/**
 * What is collected apart. Used oil is mixed with nothing else (40 CFR 279.10(b) and 279.22(c), from memory); that old coolant, brake
 * fluid and fuel each have a container of their own is common practice.
 */
export const WASTES = {
  oil: { words: 'used oil' },
  coolant: { words: 'used coolant' },
  brakeFluid: { words: 'used brake fluid' },
  fuel: { words: 'old fuel' },
} as const satisfies Record<string, { readonly words: string }>;

export type Waste = keyof typeof WASTES;

export const WASTE_KEYS: readonly Waste[] = keysOf(WASTES);

const APART: Partial<Record<Component, Waste>> = {
  coolant: 'coolant',
  brakeFluid: 'brakeFluid',
  fuel: 'fuel',
};

/** Into which container a fluid goes that is drained. */
export function wasteOf(fluid: Component): Waste {
  return APART[fluid] ?? 'oil';
}
