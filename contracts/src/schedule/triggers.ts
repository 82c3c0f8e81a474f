import { parseTrigger } from '@yugator/core';
import type { TriggerFault } from '@yugator/core';
import { ValidateBy } from 'class-validator';
import { applyDecorators, ListOf, Transformed } from '../rules/index.js';

const WORDS: Record<TriggerFault, string> = {
  kind: 'Say what makes it due: hours, a date, a season, every n-th time, or storage.',
  hours: 'Give the hours as a number from 0.1 to 20,000, such as 50.',
  count: 'Give the days or months as a whole number from 1, such as 12.',
  unit: 'Choose days or months.',
  inUse: 'Only days wait for the machine to work; months are about age.',
  meter: 'Choose the meter: engine, loader, deck, blower or blade.',
  grid: 'Choose how hours are counted: since done, or on the meter.',
  season: 'Name the season and say whether its first or last day counts.',
  offset: 'Give the days before or after the season as a whole number up to 180.',
  nth: 'Say with which item it is done, and every how many times, from 2 on.',
  storage: 'Give the days in storage as a whole number from 1 to 366.',
};

const MOST_TRIGGERS = 8;

function faultWords(value: unknown): string | null {
  if (!Array.isArray(value)) return 'Give the triggers as a list.';
  if (value.length === 0) return 'Say when it is due: at least one trigger is needed.';
  for (const each of value) {
    const parsed = parseTrigger(each);
    if ('fault' in parsed) return WORDS[parsed.fault];
  }
  return null;
}

/** A trigger with nothing beside what its kind has; what is none stays as it is, and is refused. */
function parsed(value: unknown): unknown {
  const result = parseTrigger(value);
  return 'trigger' in result ? result.trigger : value;
}

/** A list of triggers, each of a kind that the schedule knows, with figures that make sense. */
export function IsTriggers(): PropertyDecorator {
  return applyDecorators(
    Transformed((value) => (Array.isArray(value) ? value.map(parsed) : value)),
    ListOf(MOST_TRIGGERS, `An item has ${MOST_TRIGGERS} triggers at most.`),
    ValidateBy({
      name: 'isTriggers',
      validator: {
        validate: (value: unknown) => faultWords(value) === null,
        defaultMessage: (facts) => faultWords(facts?.value) ?? '',
      },
    }),
  );
}
