/**
 * Least voltage of a charged 12 V battery at the end of 15 s under half of its cold-cranking amperes, by its temperature. Source: the
 * table that battery makers and test instruments print after the industry's load test (from memory): 9.6 V at 70 °F down to 8.5 V at 0 °F.
 */
const LEAST_VOLTS = [
  { celsius: -17.8, volts: 8.5 },
  { celsius: -12.2, volts: 8.7 },
  { celsius: -6.7, volts: 8.9 },
  { celsius: -1.1, volts: 9.1 },
  { celsius: 4.4, volts: 9.3 },
  { celsius: 10, volts: 9.4 },
  { celsius: 15.6, volts: 9.5 },
  { celsius: 21.1, volts: 9.6 },
] as const;

/** Seconds that the load is held. */
export const LOAD_SECONDS = 15;

/** The least voltage under load at `celsius`, V: linear between the lines of the table, its ends beyond them. */
export function leastUnderLoad(celsius: number): number {
  const above = LEAST_VOLTS.find((line) => line.celsius >= celsius);
  const below = LEAST_VOLTS.findLast((line) => line.celsius <= celsius);
  if (!above || !below) return (above ?? below ?? LEAST_VOLTS[0]).volts;
  if (above.celsius === below.celsius) return above.volts;
  const share = (celsius - below.celsius) / (above.celsius - below.celsius);
  return below.volts + share * (above.volts - below.volts);
}

/** Whether a battery of `celsius` that stands at `volts` under load has passed. */
export function passesLoad(volts: number, celsius: number): boolean {
  // A meter shows hundredths.
  return Math.round(volts * 100) >= Math.round(leastUnderLoad(celsius) * 100);
}
