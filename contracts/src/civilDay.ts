import { parseCivilDate } from '@yugator/core';
import { ValidateBy } from 'class-validator';

/** A civil date, `YYYY-MM-DD`, that exists in the calendar. */
export function IsCivilDay(options: { message: string }): PropertyDecorator {
  return ValidateBy(
    {
      name: 'isCivilDay',
      validator: {
        validate: (value: unknown) => typeof value === 'string' && parseCivilDate(value) !== null,
      },
    },
    options,
  );
}
