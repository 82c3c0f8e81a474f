/** The value of a key that was checked or made before. Throws where it is not there after all. */
export function known<K, V>(values: ReadonlyMap<K, V>, key: K): V {
  const value = values.get(key);
  if (value === undefined) throw new Error(`Nothing is known of ${String(key)}.`);
  return value;
}
