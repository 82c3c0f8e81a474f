import { jsonValue } from './columns.js';

/** A stored object, or null where nothing is stored. Throws where the table holds something else. */
export function storedObject(value: unknown): Record<string, unknown> | null {
  const parsed = jsonValue(value);
  if (parsed === null || parsed === undefined) return null;
  if (typeof parsed !== 'object' || Array.isArray(parsed)) throw new Error('A stored object is none.');
  return { ...parsed };
}

/** A stored list; empty where nothing is stored. Throws where the table holds something else. */
export function storedList(value: unknown): readonly unknown[] {
  const parsed = jsonValue(value);
  if (parsed === null || parsed === undefined) return [];
  if (!Array.isArray(parsed)) throw new Error('A stored list is none.');
  return parsed;
}
