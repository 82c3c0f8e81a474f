import type { DefectSearchDto } from '@yugator/contracts';
import { shownTemperature, shownValue } from '@yugator/core';
import type { SearchVerdict, UnitSystem } from '@yugator/core';

/** What is to be done when a search has come to its end. */
export const VERDICT_WORDS: Record<SearchVerdict, { readonly title: string; readonly words: string }> = {
  newBattery: {
    title: 'A new battery',
    words:
      'It holds no charge, or breaks down under load. Same size, same posts, no fewer cold-cranking amperes; the old one goes back to the dealer. Measure the charging voltage once it runs, or the new one dies like the old.',
  },
  cleanTerminals: {
    title: 'Clean the terminals and the earth',
    words: 'Negative off first, positive next; brush, tighten, positive back first. Then try again.',
  },
  newFuse: {
    title: 'A new fuse of the same figure, once',
    words: 'A second one that blows has a cause: a chafed wire, a stuck starter. Never a bigger one.',
  },
  safetySwitch: {
    title: 'The switch that was moved',
    words:
      'Adjust it, or replace it. Never bridge it, not for a day: it is what stops the blades when somebody falls off.',
  },
  fuelOrSpark: {
    title: 'Not the battery: fuel, air or spark',
    words:
      'Fuel in the tank, tap and cut-off open; fuel filter; air filter; then plugs, or pre-heating. What is left is for the technician.',
  },
  technician: {
    title: 'Stop here: a technician',
    words: 'What a crew can look at is good. Starter, solenoid and wiring need their tester.',
  },
};

/** A search in one sentence: "A new battery (at rest 11.9 V, charged 12.1 V)". */
export function searchWords({ verdict, answers }: DefectSearchDto, units: UnitSystem): string {
  const volts = (words: string, value: number | undefined) =>
    value === undefined ? [] : [`${words} ${shownValue(value, 'voltage', units)}`];
  const at = answers.celsius === undefined ? '' : ` at ${shownTemperature(answers.celsius, units)}`;
  const figures = [
    ...volts('at rest', answers.rest),
    ...volts('charged', answers.charged),
    ...volts('under load', answers.load).map((words) => `${words}${at}`),
  ].join(', ');
  const { title } = VERDICT_WORDS[verdict];
  return figures ? `${title} (${figures})` : title;
}
