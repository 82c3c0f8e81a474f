/** The same as `make`, which is called once for each key; for few keys, as what was made is kept. */
export function onceEach<T>(make: (key: string) => T): (key: string) => T {
  const made = new Map<string, T>();
  return (key) => {
    const known = made.get(key);
    if (known !== undefined) return known;
    const first = make(key);
    made.set(key, first);
    return first;
  };
}
