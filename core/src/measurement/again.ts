import type { Measured } from './define.js';

/** What was measured again, after setting, is kept beside what was found at first: under its name with this before it. */
const AGAIN = 'again.';

/** What was measured after setting, by the names of the measurement's own fields. */
export function measuredAgain(found: Readonly<Record<string, number | string>>): Record<string, number> {
  return Object.fromEntries(
    Object.entries(found).flatMap(([name, value]) =>
      name.startsWith(AGAIN) && typeof value === 'number' ? [[name.slice(AGAIN.length), value]] : [],
    ),
  );
}

/** What a step found, with `values` as what was measured after setting. */
export function withMeasuredAgain(
  found: Readonly<Record<string, number | string>>,
  values: Measured,
): Record<string, number | string> {
  const others = Object.entries(found).filter(([name]) => !name.startsWith(AGAIN));
  const again = Object.entries(values).flatMap(([name, value]) =>
    value === undefined ? [] : [[AGAIN + name, value] as const],
  );
  return Object.fromEntries([...others, ...again]);
}
