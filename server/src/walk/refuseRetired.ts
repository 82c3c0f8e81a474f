import { Problem } from '../problem/problem.js';
import type { ScheduledMachine } from '../schedule/fleetSchedule.js';

/** Refuses everyday work on a machine that is retired. */
export function refuseRetired({ machine: { status, tag } }: ScheduledMachine): void {
  if (status === 'retired')
    throw new Problem(409, 'Retired', `${tag} is retired. Put it back into service first.`);
}
