import type { FoundFields } from '@yugator/core';
import { registerDecorator } from 'class-validator';

/** What a step measured or saw: figures in SI and words, by the name of the field. */
export type Found = FoundFields;

const MOST_FIELDS = 20;
const LONGEST_WORDS = 300;

function isField([name, value]: [string, unknown]): boolean {
  if (name.length > 40) return false;
  return typeof value === 'number'
    ? Number.isFinite(value)
    : typeof value === 'string' && value.length <= LONGEST_WORDS;
}

function isFound(value: unknown): boolean {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return false;
  const fields = Object.entries(value);
  return fields.length <= MOST_FIELDS && fields.every(isField);
}

/** Checks that a value is {@link Found}. */
export function IsFound(): PropertyDecorator {
  return (target, propertyName) => {
    registerDecorator({
      name: 'isFound',
      target: target.constructor,
      propertyName: String(propertyName),
      options: { message: 'Send what was found as figures and words, 20 fields at most.' },
      validator: { validate: isFound },
    });
  };
}
