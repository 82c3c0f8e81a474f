import { compareConsequences } from '../component/consequence.js';
import type { Consequence } from '../component/consequence.js';
import type { DueAnswer } from './due.js';
import { bites, compareStates } from './dueState.js';
import type { DueState } from './dueState.js';

/** What decides what comes first: how something stands, what lateness costs, how far its interval is used up, and its date. */
export interface Urgency {
  readonly state: DueState;
  readonly consequence: Consequence;
  /** share of the interval used up; 1 with no record */
  readonly used: number;
  readonly expectedOn: string | null;
}

function compareDates(a: string | null, b: string | null): number {
  if (a === b) return 0;
  if (a === null || b === null) return a === null ? 1 : -1;
  return a < b ? -1 : 1;
}

/**
 * **Worst first**: by state; what bites already by what lateness costs, then by the share of the interval that is used up; what is
 * still to come by its date.
 */
export function compareUrgency(a: Urgency, b: Urgency): number {
  const byState = compareStates(a.state, b.state);
  if (byState !== 0) return byState;
  const byUse = b.used - a.used;
  return bites(a.state)
    ? compareConsequences(a.consequence, b.consequence) || byUse || compareDates(a.expectedOn, b.expectedOn)
    : compareDates(a.expectedOn, b.expectedOn) || byUse;
}

/** How urgent an answer is. */
export function urgencyOf({ state, consequence, deciding, expectedOn }: DueAnswer): Urgency {
  return { state, consequence, used: deciding?.used ?? 1, expectedOn };
}

/** Names in an order that is the same everywhere. */
function compareNames(a: string, b: string): number {
  return a < b ? -1 : a > b ? 1 : 0;
}

/** Items of a machine worst first, then by name. */
export function compareAnswers(a: DueAnswer, b: DueAnswer): number {
  return compareUrgency(urgencyOf(a), urgencyOf(b)) || compareNames(a.item.name, b.item.name);
}

/** The strongest state among `answers`; `fine` where there are none. */
export function strongestState(answers: readonly DueAnswer[]): DueState {
  return answers.reduce<DueState>(
    (worst, answer) => (compareStates(answer.state, worst) < 0 ? answer.state : worst),
    'fine',
  );
}

/** A machine among others: whether a defect stops it, and its answers, worst first. */
export interface RankedMachine {
  readonly tag: string;
  readonly isStopped: boolean;
  readonly answers: readonly DueAnswer[];
}

/** Orders machines worst first: those that a defect stops, then by their worst item, then by tag. */
export function compareMachines(a: RankedMachine, b: RankedMachine): number {
  if (a.isStopped !== b.isStopped) return a.isStopped ? -1 : 1;
  const [worstA, worstB] = [a.answers[0], b.answers[0]];
  if (!worstA !== !worstB) return worstA ? -1 : 1;
  const byWorst = worstA && worstB ? compareUrgency(urgencyOf(worstA), urgencyOf(worstB)) : 0;
  return byWorst || compareNames(a.tag, b.tag);
}
