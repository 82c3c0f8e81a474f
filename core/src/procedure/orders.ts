import type { SheetStep } from './compose.js';
import type { Phase } from './phase.js';

/** Steps by their key, or all of a procedure by its key, or all of a phase. */
export type Named = { readonly key: string } | { readonly phase: Phase };

/** What comes first wherever both stand on one sheet, whatever else the visit holds. Common practice. */
export interface Order {
  readonly first: Named;
  readonly then: Named;
  readonly why: string;
}

const key = (name: string): Named => ({ key: name });

export const ORDERS: readonly Order[] = [
  {
    first: key('tyres'),
    then: key('deckLevel.measure'),
    why: 'A deck hangs on its wheels: pressures first.',
  },
  {
    first: key('blades.refit'),
    then: key('deckLevel.measure'),
    why: 'It is measured with the blades that will cut.',
  },
  {
    first: key('access.deckRaised.close'),
    then: { phase: 'onTheGround' },
    why: 'A deck and its belt are measured as they work, not on stands.',
  },
  {
    first: { phase: 'lookOver' },
    then: key('access.warm.open'),
    why: 'Rest voltage and a cold level say nothing once the engine has run.',
  },
  ...(['fuelFilterReplace.bleed', 'fuelFilterClean.bleed'] as const).flatMap((bleed) =>
    (['shared.run', 'shared.warmRun'] as const).map((run) => ({
      first: key(bleed),
      then: key(run),
      why: 'An engine with air in its fuel does not run.',
    })),
  ),
  ...(['topUp', 'functionChecks'] as const).map((phase) => ({
    first: { phase },
    then: key('visit.tidy'),
    why: 'Tools are counted back when the last of them was used.',
  })),
  ...(['run', 'leakCheck', 'functionChecks', 'topUp'] as const).map((phase) => ({
    first: { phase },
    then: key('batteryCharge.charge'),
    why: 'Whatever still runs needs the battery: it goes to the charger last.',
  })),
];

/** Whether a step is one of those that are named. */
export function isNamed(step: Pick<SheetStep, 'key' | 'phase'>, named: Named): boolean {
  if ('phase' in named) return step.phase === named.phase;
  return step.key === named.key || step.key.startsWith(`${named.key}.`);
}

/** The places of the steps that come before others by an order. */
export function orderedPairs(
  steps: readonly Pick<SheetStep, 'key' | 'phase'>[],
): { readonly from: number; readonly to: number }[] {
  const places = (named: Named) => steps.flatMap((step, place) => (isNamed(step, named) ? [place] : []));
  return ORDERS.flatMap(({ first, then }) => {
    const later = places(then);
    return later.length === 0 ? [] : places(first).flatMap((from) => later.map((to) => ({ from, to })));
  });
}
