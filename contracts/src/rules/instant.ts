import { ValidateBy } from 'class-validator';
import { isCivilDay } from './civilDay.js';

const INSTANT =
  /^\d{4}-\d{2}-\d{2}T([01]\d|2[0-3]):[0-5]\d:[0-5]\d(\.\d{1,9})?(Z|[+-]([01]\d|2[0-3]):[0-5]\d)$/;

/** Whether a value is a moment as RFC 3339 writes it, of a day that exists, from 1950 to 2100. */
export function isInstant(value: unknown): value is string {
  return typeof value === 'string' && INSTANT.test(value) && isCivilDay(value.slice(0, 10));
}

export function IsInstant(options: { message: string }): PropertyDecorator {
  return ValidateBy({ name: 'isInstant', validator: { validate: isInstant } }, options);
}
