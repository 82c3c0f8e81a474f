import { ValidateBy } from 'class-validator';

/** Whether a value is a finite number of at most `places` decimal places. */
export function isDecimal(value: unknown, places: number): value is number {
  if (typeof value !== 'number' || !Number.isFinite(value)) return false;
  // A decimal is the number nearest to it; the nearest to so many whole parts is the same.
  const parts = 10 ** places;
  return Math.round(value * parts) / parts === value;
}

/** A number of at most so many decimal places. */
export function IsDecimal(places: number, options: { message: string }): PropertyDecorator {
  return ValidateBy(
    { name: 'isDecimal', validator: { validate: (value) => isDecimal(value, places) } },
    options,
  );
}
