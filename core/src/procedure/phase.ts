/** The phases of a visit, in the order in which good mechanics work. */
export const PHASES = [
  'lookOver',
  'cleanDown',
  'warmUp',
  'makeSafe',
  'openUp',
  'startDraining',
  'whileItDrains',
  'closeDrains',
  'filtersOn',
  'firstPour',
  'closeUp',
  'onTheGround',
  'run',
  'leakCheck',
  'settle',
  'topUp',
  'functionChecks',
  'finish',
  'signOff',
] as const;
export type Phase = (typeof PHASES)[number];

const PHASE_WORDS: Record<Phase, string> = {
  lookOver: 'Look over',
  cleanDown: 'Clean down',
  warmUp: 'Warm up',
  makeSafe: 'Make safe',
  openUp: 'Open up',
  startDraining: 'Start draining',
  whileItDrains: 'While it drains',
  closeDrains: 'Close the drains',
  filtersOn: 'Filters on',
  firstPour: 'First pour',
  closeUp: 'Close up',
  onTheGround: 'On the ground',
  run: 'Run',
  leakCheck: 'Look for leaks',
  settle: 'Settle and read',
  topUp: 'Top up',
  functionChecks: 'Function checks',
  finish: 'Label, clean, waste',
  signOff: 'Sign off',
};

/** What a phase is called on a sheet of `steps`: nothing drains in a visit without oil. */
export function phaseWords(phase: Phase, steps: readonly { readonly phase: Phase }[]): string {
  const isDry = phase === 'whileItDrains' && steps.every((step) => step.phase !== 'startDraining');
  return isDry ? 'Dry work' : PHASE_WORDS[phase];
}

/** The way of the fluids. Each follows its own drain; another that drips longer does not hold it up. */
const FLUID_WAY: ReadonlySet<Phase> = new Set(['closeDrains', 'filtersOn', 'firstPour']);

/** How a phase waits for an earlier one. */
export type PhaseLink =
  /** for all of it, what passes by itself too */
  | 'finish'
  /** for the hands only: what drips or cools goes on */
  | 'hands'
  /** not at all, beyond what single steps say */
  | null;

/**
 * How the later of two phases waits for the earlier. Dry work fills the time in which fluids drain and has no order with their way;
 * labels and cleaning fill the time in which the oil settles. Everything else keeps the order.
 */
export function phaseLink(earlier: Phase, later: Phase): PhaseLink {
  if (PHASES.indexOf(earlier) >= PHASES.indexOf(later)) return null;
  if (earlier === 'makeSafe') return 'hands';
  if (earlier === 'startDraining' && (later === 'whileItDrains' || FLUID_WAY.has(later))) return 'hands';
  if (earlier === 'whileItDrains' && FLUID_WAY.has(later)) return null;
  if (FLUID_WAY.has(earlier) && FLUID_WAY.has(later)) return null;
  if (later === 'finish' && PHASES.indexOf(earlier) > PHASES.indexOf('leakCheck')) return null;
  return 'finish';
}
