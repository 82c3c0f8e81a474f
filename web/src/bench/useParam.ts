import { UNIT_SYSTEMS } from '@yugator/core';
import type { UnitSystem } from '@yugator/core';
import { useSearchParams } from 'react-router';
import { useSession } from '../session/useSession.js';

const UNITS = 'units';

/** The units that figures of the address without one are in: those of whoever typed them, else one's own. */
export function useUnits(): UnitSystem {
  const { site } = useSession();
  const [params] = useSearchParams();
  return UNIT_SYSTEMS.find((system) => system === params.get(UNITS)) ?? site.unitSystem;
}

/** A field of a calculator that stands in the address, so that the address can be passed on. */
export function useParam(name: string, usual: string): readonly [string, (value: string) => void] {
  const units = useUnits();
  const [params, setParams] = useSearchParams();
  return [
    params.get(name) ?? usual,
    (value) =>
      setParams(
        (before) => {
          const next = new URLSearchParams(before);
          next.set(name, value);
          // Passed on, a bare figure must not change its unit.
          next.set(UNITS, units);
          return next;
        },
        // At once: a letter typed meanwhile would be lost, and the next field would begin from an older address.
        { replace: true, flushSync: true },
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
