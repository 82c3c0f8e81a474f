/** The same as `make`, which is called once for each key; for few keys, as what was made is kept. */
export function onceEach<T, K extends string = string>(make: (key: K) => T): (key: K) => T {
  const made = new Map<K, T>();
  return (key) => {
    const known = made.get(key);
    if (known !== undefined) return known;
    const first = make(key);
    made.set(key, first);
    return first;
  };
}
