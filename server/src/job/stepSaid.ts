import type { Found, UpdateStepDto } from '@yugator/contracts';
import { standsOver, withMeasured } from '@yugator/core';
import type { SaidBy, StepMeasured } from '@yugator/core';
import { storedList, storedObject } from '../database/storedJson.js';
import type { JobStep } from '../models/job.model.js';
import { storedFound } from './storedFound.js';

/** What somebody measured, by their name of then. */
export interface MeasuredBy extends StepMeasured {
  readonly name: string;
  readonly found: Found | null;
}

/** What is said of a step: by whom, when it was typed, and whether they saw how the step stands. */
export interface StepSaid extends SaidBy {
  readonly name: string;
  readonly hasSeen: boolean;
}

/** What was measured at a step, the one that stands first. Throws where the table holds something else. */
export function measuredAt({ measured }: Pick<JobStep, 'measured'>): MeasuredBy[] {
  return storedList(measured).map((each) => {
    const { by, name, at, found } = storedObject(each) ?? {};
    if (typeof by === 'string' && typeof name === 'string' && typeof at === 'number')
      return { by, name, at, found: storedFound(found) };
    throw new Error('What was measured at a step is stored as something else.');
  });
}

/** What stood before that was kept: the figure of whoever changed the step last. */
function measuredBefore(step: JobStep): MeasuredBy[] {
  const measured = measuredAt(step);
  const found = storedFound(step.found);
  if (measured.length || found === null) return measured;
  return [{ by: step.changedById, name: step.changedBy?.name ?? '', at: step.changedAt.getTime(), found }];
}

/** Who changed a step last, by what they typed: what arrives late takes nobody's name from what stands. */
export function changedAfter(
  known: JobStep | undefined,
  { by, at, hasSeen }: StepSaid,
): Pick<JobStep, 'changedAt' | 'changedById'> {
  const before = known ? { by: known.changedById, at: known.changedAt.getTime() } : null;
  const stands = hasSeen || before === null || standsOver({ by, at }, before);
  const { changedAt, changedById } = known && !stands ? known : { changedAt: new Date(at), changedById: by };
  return { changedAt, changedById };
}

type Tick = Pick<JobStep, 'isDone' | 'isAcknowledged' | 'tickedAt'>;

const UNTICKED: Tick = { isDone: false, isAcknowledged: false, tickedAt: null };

/** Whether what is said of a tick comes after it: nobody undoes unseen what was ticked later. */
function tickStands(said: StepSaid, { tickedAt, changedAt, changedById }: JobStep): boolean {
  return said.hasSeen || standsOver(said, { by: changedById, at: (tickedAt ?? changedAt).getTime() });
}

/** How the tick of a step stands once something more was said of it. */
export function tickAfter(
  known: JobStep | undefined,
  { isDone, isAcknowledged }: UpdateStepDto,
  said: StepSaid,
): Tick {
  const before: Tick = known ?? UNTICKED;
  const saysNothing = isDone === undefined && isAcknowledged === undefined;
  if (saysNothing || (known && !tickStands(said, known)))
    return {
      isDone: before.isDone,
      isAcknowledged: before.isAcknowledged,
      tickedAt: before.tickedAt,
    };
  return {
    isDone: isDone ?? before.isDone,
    isAcknowledged: isAcknowledged ?? before.isAcknowledged,
    tickedAt: new Date(said.at),
  };
}

/** What was measured at a step once something more was said of it. Who saw what stood there put it right; who did not measured beside it. */
export function measuredAfter(
  known: JobStep | undefined,
  { found }: UpdateStepDto,
  { by, at, name, hasSeen }: StepSaid,
): Pick<JobStep, 'found' | 'measured'> {
  if (found === undefined) return { found: known?.found ?? null, measured: known?.measured ?? null };
  const own: MeasuredBy = { by, at, name, found };
  const all = hasSeen || !known ? [own] : withMeasured(measuredBefore(known), own);
  return { found: all[0]?.found ?? null, measured: all };
}
