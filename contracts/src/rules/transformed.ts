import { Transform } from 'class-transformer';

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
  for (let at: object | null = dto.prototype as object; at; at = Object.getPrototypeOf(at) as object | null) {
    const change = changes.get(at)?.get(property);
    if (change) return change;
  }
  return undefined;
}
