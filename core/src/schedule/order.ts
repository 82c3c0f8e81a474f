import type { DueAnswer } from './due.js';
import { compareStates } from './dueState.js';
import type { DueState } from './dueState.js';

function urgency(answer: DueAnswer): number {
  return answer.deciding?.used ?? 1;
}

function compareDates(a: string | null, b: string | null): number {
  if (a === b) return 0;
  if (a === null || b === null) return a === null ? 1 : -1;
  return a < b ? -1 : 1;
}

/** Worst first: by state, then the nearer date, then the interval used up further, then the name. */
export function compareAnswers(a: DueAnswer, b: DueAnswer): number {
  return (
    compareStates(a.state, b.state) ||
    (a.state === 'overdue' ? urgency(b) - urgency(a) : 0) ||
    compareDates(a.expectedOn, b.expectedOn) ||
    urgency(b) - urgency(a) ||
    a.item.name.localeCompare(b.item.name)
  );
}

/** The strongest state among `answers`; `fine` where there are none. */
export function strongestState(answers: readonly DueAnswer[]): DueState {
  return answers.reduce<DueState>(
    (worst, answer) => (compareStates(answer.state, worst) < 0 ? answer.state : worst),
    'fine',
  );
}

/** Orders machines by their worst item; `answers` of each are worst first. */
export function compareMachines(
  a: { readonly tag: string; readonly answers: readonly DueAnswer[] },
  b: { readonly tag: string; readonly answers: readonly DueAnswer[] },
): number {
  const [worstA, worstB] = [a.answers[0], b.answers[0]];
  if (worstA && worstB) {
    const byWorst =
      compareStates(worstA.state, worstB.state) ||
      (worstA.state === 'overdue' ? urgency(worstB) - urgency(worstA) : 0) ||
      compareDates(worstA.expectedOn, worstB.expectedOn);
    if (byWorst !== 0) return byWorst;
  } else if (worstA || worstB) {
    return worstA ? -1 : 1;
  }
  return a.tag.localeCompare(b.tag);
}
