import { addDays, workPlaceOf } from '@yugator/core';
import type { CivilDate, DueAnswer } from '@yugator/core';
import type { ScheduledMachine } from './fleetSchedule.js';

/** Whether an answer is about everyday work that is done on the walk-round. */
export function isRoundAnswer({ item }: DueAnswer, { info }: ScheduledMachine): boolean {
  const own = info.get(item.id);
  return workPlaceOf(item, own?.minutes ?? 0, own?.doneIn ?? null) === 'walk';
}

/** Everyday work that waits: due, on no record, or due by tomorrow. */
export function waitingRound(scheduled: ScheduledMachine, today: CivilDate): DueAnswer[] {
  const tomorrow = addDays(today, 1);
  return scheduled.schedule.answers.filter((answer) => {
    if (!isRoundAnswer(answer, scheduled)) return false;
    const { state, expectedOn } = answer;
    if (state === 'overdue' || state === 'ripe' || state === 'noRecord') return true;
    return state === 'coming' && expectedOn !== null && expectedOn <= tomorrow;
  });
}
