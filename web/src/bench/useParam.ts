import { useSearchParams } from 'react-router';

/** A field of a calculator that stands in the address, so that the address can be passed on. */
export function useParam(name: string, usual: string): readonly [string, (value: string) => void] {
  const [params, setParams] = useSearchParams();
  return [
    params.get(name) ?? usual,
    (value) =>
      setParams(
        (before) => {
          const next = new URLSearchParams(before);
          next.set(name, value);
          return next;
        },
        { replace: true },
      ),
  ];
}

/** The same for a closed list; what the address says besides is taken for the usual. */
export function useChoiceParam<K extends string>(
  name: string,
  keys: readonly K[],
  usual: K,
): readonly [K, (value: K) => void] {
  const [value, setValue] = useParam(name, usual);
  return [keys.find((key) => key === value) ?? usual, setValue];
}
