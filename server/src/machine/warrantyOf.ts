import { civilDate, isUnderWarranty } from '@yugator/core';
import type { CivilDate, Warranty } from '@yugator/core';
import type { Machine } from '../models/machine.model.js';

type Covered = Pick<Machine, 'warrantyUntil' | 'warrantyHours'>;

function warrantyOf({ warrantyUntil, warrantyHours }: Covered): Warranty {
  return { until: warrantyUntil === null ? null : civilDate(warrantyUntil), hours: warrantyHours };
}

/** Whether the maker's warranty of a machine still holds on a day, at so many life hours. */
export function isCovered(machine: Covered, life: number, today: CivilDate): boolean {
  return isUnderWarranty(warrantyOf(machine), life, today);
}
