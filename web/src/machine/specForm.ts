import type { UpdateSpecDto } from '@yugator/contracts';
import type { ServiceFittings } from '@yugator/core';
import type { UseFormReturn } from 'react-hook-form';
import type { CardFaults, TypedCard } from './typedCard.js';

/** A spec card as its form holds it. */
export interface CardForm {
  readonly card: TypedCard;
  readonly service: ServiceFittings;
}

/** What is sent of it. */
export type SentCard = Pick<UpdateSpecDto, 'spec'>;
export type SpecForm = UseFormReturn<CardForm, unknown, SentCard>;

/** Faults by the names of their fields: `card.fluids.0.litresWithFilter`. */
export function namedFaults(faults: CardFaults): Record<string, string> {
  return Object.fromEntries(
    Object.entries(faults).map(([place, words]) => [`card.${place.replaceAll('/', '.')}`, words]),
  );
}

/** How many fields of a card are marked. */
export function faultsIn(errors: unknown): number {
  if (typeof errors !== 'object' || errors === null) return 0;
  if ('message' in errors && typeof errors.message === 'string') return 1;
  return Object.values(errors).reduce<number>((sum, each) => sum + faultsIn(each), 0);
}
