import { waitsForWalk, workPlaceOf } from '@yugator/core';
import type { CivilDate, DueAnswer } from '@yugator/core';
import type { ScheduledMachine } from './fleetSchedule.js';

/** The answers of a machine by where their work is done, each worst first. */
export interface AnswersByPlace {
  readonly visit: readonly DueAnswer[];
  readonly walk: readonly DueAnswer[];
  /** of the everyday work, what waits for a walk-round */
  readonly waiting: readonly DueAnswer[];
}

export function answersByPlace({ schedule, info }: ScheduledMachine, today: CivilDate): AnswersByPlace {
  const [visit, walk]: [DueAnswer[], DueAnswer[]] = [[], []];
  for (const answer of schedule.answers) {
    const own = info.get(answer.item.id);
    const place = workPlaceOf(answer.item, own?.minutes ?? 0, own?.doneIn ?? null);
    (place === 'walk' ? walk : visit).push(answer);
  }
  return { visit, walk, waiting: walk.filter((answer) => waitsForWalk(answer, today)) };
}
