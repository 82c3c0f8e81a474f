/** Whether a loose value has named fields: an object, and no list. */
export function isRecord(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

/** The names that a table of constants is written with, in its order. */
export function keysOf<K extends string>(table: Readonly<Partial<Record<K, unknown>>>): readonly K[] {
  // A table may have more keys than its type says only where one was made at run time.
  return Object.keys(table) as K[];
}
