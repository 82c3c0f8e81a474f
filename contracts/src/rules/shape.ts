import { Type } from 'class-transformer';
import { ValidateBy, ValidateNested } from 'class-validator';
import { isRecord } from '@yugator/core';
import { applyDecorators } from './applyDecorators.js';
import { prototypesOf } from './prototypes.js';

type Class = new () => object;

/** What must hold of a value before its fields are looked at: how long a list may be, and what its entries are. */
export interface Shape {
  /** entries at most; null where it is no list */
  readonly most: number | null;
  readonly message: string;
  /** the class of the value, or of each entry; null where it has none */
  readonly of: (() => Class) | null;
}

const shapes = new WeakMap<object, Map<string, Shape>>();

function Shaped(shape: Shape): PropertyDecorator {
  return (target, property) => {
    const own = shapes.get(target) ?? new Map<string, Shape>();
    own.set(String(property), shape);
    shapes.set(target, own);
  };
}

/** Entries of a list of which no class says how long it may be. */
export const MOST_ENTRIES = 100;

const MOST_NAMES = 200;
const found = new WeakMap<Class, Map<string, Shape | undefined>>();

/** The shape that the class, or one that it extends, asks of a property; undefined where it asks none. */
export function shapeOf(dto: Class, property: string): Shape | undefined {
  const known = found.get(dto) ?? new Map<string, Shape | undefined>();
  found.set(dto, known);
  if (!known.has(property)) {
    const shape = shapeInChain(dto, property);
    // Names that no class has come from outside, and without end.
    if (known.size < MOST_NAMES) known.set(property, shape);
    return shape;
  }
  return known.get(property);
}

function shapeInChain(dto: Class, property: string): Shape | undefined {
  for (const at of prototypesOf(dto)) {
    const shape = shapes.get(at)?.get(property);
    if (shape) return shape;
  }
  return undefined;
}

/** Part of a whole: an object of its own class. `message` where it is missing or none. */
export function Part(of: () => Class, message: string): PropertyDecorator {
  return applyDecorators(
    Shaped({ most: null, message, of }),
    ValidateBy({ name: 'isPart', validator: { validate: isRecord } }, { message }),
    ValidateNested({ message }),
    Type(of),
  );
}

/** A list of objects of one class, `most` at most. `message` where it is none, or too long. */
export function Parts(of: () => Class, most: number, message: string): PropertyDecorator {
  return applyDecorators(
    ListOf(most, message),
    Shaped({ most, message, of }),
    ValidateNested({ each: true, message }),
    Type(of),
  );
}

/** A list of at most `most` entries. `message` where it is none, or too long. */
export function ListOf(most: number, message: string): PropertyDecorator {
  return applyDecorators(
    Shaped({ most, message, of: null }),
    ValidateBy(
      { name: 'isList', validator: { validate: (value) => Array.isArray(value) && value.length <= most } },
      { message },
    ),
  );
}
