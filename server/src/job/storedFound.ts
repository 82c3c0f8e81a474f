import type { Found } from '@yugator/contracts';
import type { Finding } from '@yugator/core';
import { storedList, storedObject } from '../database/storedJson.js';

/** What a step found as it is stored: figures and words by the name of the field; null where it found nothing. Throws for anything else. */
export function storedFound(value: unknown): Found | null {
  const found = storedObject(value);
  if (!found) return null;
  return Object.fromEntries(
    Object.entries(found).map(([name, each]) => {
      if (typeof each === 'number' || typeof each === 'string') return [name, each];
      throw new Error(`What a step found is neither figure nor word: ${name}.`);
    }),
  );
}

function isFinding(value: unknown): value is Finding {
  const finding = storedObject(value);
  return typeof finding?.['key'] === 'string' && typeof finding['isGood'] === 'boolean' && 'found' in finding;
}

/** What was found of an item, as it was kept at sign-off. Throws where the table holds something else. */
export function storedFindings(value: unknown): Finding[] {
  return storedList(value).map((each) => {
    if (isFinding(each)) return each;
    throw new Error('A stored finding is none.');
  });
}
