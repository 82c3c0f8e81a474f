import { afterNext, mayLeaveOutNext } from '@yugator/core';
import type { CivilDate, HouseRules, MeterName } from '@yugator/core';
import { JobItem } from '../models/job.model.js';
import { isCovered } from '../machine/warrantyOf.js';
import { fault, fieldProblem, Problem } from '../problem/problem.js';
import type { ScheduledMachine } from '../schedule/fleetSchedule.js';
import { findingsOf } from './findings.js';

/** Whether the rules of a machine let the next check of an item be left out, when this one comes out clean. */
export function isLeftOutAllowed(
  { machine, schedule }: ScheduledMachine,
  itemId: string,
  rules: HouseRules,
  today: CivilDate,
): boolean {
  const answer = schedule.answers.find(({ item }) => item.id === itemId);
  if (!answer || !afterNext(answer.item, today, (meter) => schedule.meters.get(meter)?.life ?? null))
    return false;
  const { item, consequence } = answer;
  return mayLeaveOutNext(
    { action: item.action, consequence },
    rules,
    isCovered(machine, schedule.life, today),
  );
}

/** Refuses a next check that the rules do not let be left out. */
export function checkLeftOut(...of: Parameters<typeof isLeftOutAllowed>): void {
  if (isLeftOutAllowed(...of)) return;
  const detail =
    'By the house rules the next one is made: leaving it out is not allowed here, for what can wreck the machine, or under warranty.';
  throw fieldProblem(fault('/leavesOutNext', 'notAllowed', detail));
}

/** Sets for each checked item whose next time is left out until when it rests, at sign-off. One that was not found clean is refused. */
export async function keepLeftOut(
  jobId: string,
  { facts, schedule }: ScheduledMachine,
  at: { readonly on: CivilDate; readonly life: number },
): Promise<void> {
  const rows = await JobItem.findAll({ where: { jobId, outcome: 'done', leavesOutNext: true } });
  for (const row of rows) {
    const item = facts.items.find(({ id }) => id === row.itemId);
    if (findingsOf(row).some(({ isGood }) => !isGood)) {
      throw new Problem(
        422,
        'Not clean',
        `"${item?.name ?? 'An item'}" was not found clean, so its next check cannot be left out. Take that back and sign off again.`,
      );
    }
    // The engine stands at what was signed; the others at what they last showed.
    const lifeOn = (meter: MeterName) =>
      meter === 'engine' ? at.life : (schedule.meters.get(meter)?.life ?? null);
    const until = item ? afterNext(item, at.on, lifeOn) : null;
    if (until) await row.update({ ...until });
  }
}
