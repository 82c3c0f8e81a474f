import { getMetadataStorage } from 'class-validator';

type Class = new () => object;
type Metadata = ReturnType<ReturnType<typeof getMetadataStorage>['getTargetValidationMetadatas']>[number];

const NESTED = 'nestedValidation';
/** by class, then by the names of the lists */
const twins = new WeakMap<Class, Map<string, Class>>();

function copyFor(twin: Class, metadata: Metadata): Metadata {
  const copy: Metadata = Object.create(Object.getPrototypeOf(metadata));
  return Object.assign(copy, metadata, { target: twin });
}

/** A class with the same rules for its fields, but none for what stands in the entries of the lists `lists`. */
export function flatTwin(dto: Class, lists: readonly string[]): Class {
  const own = twins.get(dto) ?? new Map<string, Class>();
  twins.set(dto, own);
  const known = own.get(lists.join());
  if (known) return known;
  const twin = class {};
  const storage = getMetadataStorage();
  const rules = storage.getTargetValidationMetadatas(dto, '', false, false);
  for (const rule of rules) {
    const isOfEntries = rule.type === NESTED && lists.includes(rule.propertyName);
    if (!isOfEntries) storage.addValidationMetadata(copyFor(twin, rule));
  }
  own.set(lists.join(), twin);
  return twin;
}
