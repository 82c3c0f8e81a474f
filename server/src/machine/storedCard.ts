import { emptySpecCard } from '@yugator/contracts';
import type { SpecCardDto } from '@yugator/contracts';
import { storedObject } from '../database/storedJson.js';

const PARTS = Object.keys(emptySpecCard());

/**
 * A spec card as it is stored, with the parts that older versions did not have; null where nothing stands on it. Throws where the table
 * holds something else: a part that is no list.
 */
export function storedCard(value: unknown): SpecCardDto | null {
  const card = storedObject(value);
  if (!card) return null;
  const whole = { ...emptySpecCard(), ...card };
  for (const part of PARTS) {
    if (!Array.isArray(card[part] ?? [])) throw new Error(`The ${part} of a stored spec card are no list.`);
  }
  return whole;
}

/** The same, with nothing on it where nothing is stored. */
export function storedCardOrEmpty(value: unknown): SpecCardDto {
  return storedCard(value) ?? emptySpecCard();
}
