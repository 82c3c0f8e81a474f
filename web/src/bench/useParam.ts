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
