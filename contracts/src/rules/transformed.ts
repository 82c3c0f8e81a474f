import { Transform } from 'class-transformer';
import { prototypesOf } from './prototypes.js';

type Change = (value: unknown) => unknown;

const changes = new WeakMap<object, Map<string, Change>>();

/** Brings a value as it was sent into the form in which it is kept, before it is looked at. */
export function Transformed(change: Change): PropertyDecorator {
  return (target, property) => {
    const own = changes.get(target) ?? new Map<string, Change>();
    changes.set(target, own);
    own.set(String(property), change);
    Transform(({ obj, key }: { obj: Record<string, unknown>; key: string }) => change(obj[key]))(
      target,
      property,
    );
  };
}

/** How the class, or one that it extends, changes a property; undefined where it leaves it as it is. */
export function changeOf(dto: new () => object, property: string): Change | undefined {
  for (const at of prototypesOf(dto)) {
    const change = changes.get(at)?.get(property);
    if (change) return change;
  }
  return undefined;
}
