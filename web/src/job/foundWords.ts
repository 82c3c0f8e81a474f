import type { Found } from '@yugator/contracts';
import { findingWords, shownValue } from '@yugator/core';
import type { SheetStep, UnitSystem } from '@yugator/core';

/** What a pour and a dipstick are asked for, all in litres, in the words of their fields. */
const LITRES: Readonly<Record<string, string>> = {
  jugLevel: 'jug stands at',
  retained: 'old oil left in',
  betweenMarks: 'between the marks',
};

/** What was found at a step in words: "Pressure: left 83 kPa, right 82 kPa"; empty where nothing was. */
export function foundWords({ key, measurement, look }: SheetStep, found: Found, units: UnitSystem): string {
  const finding = findingWords({ key, measurement, look, found, isGood: true }, units);
  const amounts = Object.entries(LITRES).flatMap(([name, words]) => {
    const litres = found[name];
    return typeof litres === 'number' ? [`${words} ${shownValue(litres, 'volume', units)}`] : [];
  });
  const poured = found['poured'];
  return [finding, typeof poured === 'string' ? `poured ${poured}` : '', ...amounts]
    .filter(Boolean)
    .join('; ');
}
