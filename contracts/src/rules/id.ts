import { ValidateBy } from 'class-validator';
import { applyDecorators } from './applyDecorators.js';
import { ListOf } from './shape.js';

const ID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/;

/** Whether a value is an id as this program makes them: a UUID in lower case, and in no other spelling (RFC 9562). */
export function isId(value: unknown): value is string {
  return typeof value === 'string' && ID.test(value);
}

/** The id of something. */
export function IsId(options: { message: string }): PropertyDecorator {
  return ValidateBy({ name: 'isId', validator: { validate: isId } }, options);
}

interface IdsOptions {
  /** where something that is no id stands in the list */
  readonly message: string;
  readonly least?: { readonly count: number; readonly message: string };
  readonly most: { readonly count: number; readonly message: string };
  /** where an id stands in it twice */
  readonly once: string;
}

/** A list of ids, each of which stands in it once. */
export function IsIds({ message, least, most, once }: IdsOptions): PropertyDecorator {
  return applyDecorators(
    ListOf(most.count, most.message),
    ValidateBy(
      { name: 'isIds', validator: { validate: (value) => Array.isArray(value) && value.every(isId) } },
      { message },
    ),
    ...(least ? [AtLeast(least.count, least.message)] : []),
    Unique((id) => id, once),
  );
}

/** A list with at least so many entries. */
export function AtLeast(count: number, message: string): PropertyDecorator {
  return ValidateBy(
    {
      name: 'atLeast',
      validator: { validate: (value) => !Array.isArray(value) || value.length >= count },
    },
    { message },
  );
}

/** A list whose entries differ in `key`; it takes time in proportion to their number. */
export function Unique<T>(key: (entry: T) => unknown, message: string): PropertyDecorator {
  return ValidateBy(
    {
      name: 'unique',
      validator: {
        validate: (value) => !Array.isArray(value) || new Set(value.map(key)).size === value.length,
      },
    },
    { message },
  );
}
