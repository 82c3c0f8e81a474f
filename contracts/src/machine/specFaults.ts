import { isDrainedByFittings } from '@yugator/core';
import { fault } from '../problem/fault.js';
import type { FieldFaultDto } from '../problem/problem.dto.js';
import type { SpecCardDto } from './specCard.dto.js';

function backwards(rows: readonly { low: number; high: number }[], path: string): FieldFaultDto[] {
  return rows.flatMap(({ low, high }, index) =>
    low > high
      ? [
          fault(
            `${path}/${index}/high`,
            'backwards',
            'The range runs backwards. Give the lower figure first.',
          ),
        ]
      : [],
  );
}

/** What cannot be on a spec card, besides what its fields say by themselves. */
export function specFaults(spec: SpecCardDto, path: string): FieldFaultDto[] {
  const tyres = spec.tyres.flatMap(({ high, sidewallMaximum }, index) =>
    high > sidewallMaximum
      ? [
          fault(
            `${path}/tyres/${index}/high`,
            'aboveSidewall',
            'The pressure is above what the sidewall allows. A tyre is never filled above its sidewall figure.',
          ),
        ]
      : [],
  );
  const drains = spec.fluids.flatMap(({ component, drain }, index) =>
    isDrainedByFittings(component) && (drain ?? null) !== null
      ? [
          fault(
            `${path}/fluids/${index}/drain`,
            'saidTwice',
            'How the engine is drained stands under how it is fitted. Leave it out here.',
          ),
        ]
      : [],
  );
  return [
    ...backwards(spec.torques, `${path}/torques`),
    ...backwards(spec.tyres, `${path}/tyres`),
    ...backwards(spec.plays, `${path}/plays`),
    ...backwards(spec.decks, `${path}/decks`),
    ...backwards(spec.charging, `${path}/charging`),
    ...tyres,
    ...drains,
  ];
}
