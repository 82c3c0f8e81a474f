import { parseCivilDate } from '@yugator/core';
import { ValidateBy } from 'class-validator';

/** No machine that is still at work was built before, and no plan reaches beyond. */
const FIRST = '1950-01-01';
const LAST = '2100-12-31';

/** Whether a value is a civil date, `YYYY-MM-DD`, that exists in the calendar, from 1950 to 2100. */
export function isCivilDay(value: unknown): value is string {
  return typeof value === 'string' && parseCivilDate(value) !== null && value >= FIRST && value <= LAST;
}

export function IsCivilDay(options: { message: string }): PropertyDecorator {
  return ValidateBy({ name: 'isCivilDay', validator: { validate: isCivilDay } }, options);
}
