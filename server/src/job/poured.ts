import type { Found } from '@yugator/contracts';
import { expectedFrom, isComponent } from '@yugator/core';
import type { CivilDate, Component, MachineSetUp, SheetStep } from '@yugator/core';
import type { JobStep } from '../models/job.model.js';
import type { Person } from '../models/person.model.js';
import { Article } from '../models/shelf.model.js';
import type { Site } from '../models/site.model.js';
import { fault, fieldProblem } from '../problem/problem.js';
import { fitsOf, fluidFits } from '../shelf/fits.js';
import { stopFault, stopWords } from '../shelf/judgeArticle.js';
import type { ToldTarget } from '../shelf/judgeArticle.js';
import { climateOf } from '../site/workshop.js';
import { storedFound } from './storedFound.js';

/** What was poured at some steps in place of what fits: the article, by the component it went into. */
export function pouredInstead(steps: readonly Pick<JobStep, 'found'>[]): ReadonlyMap<Component, string> {
  return new Map(
    steps.flatMap(({ found }) => {
      const { pouredId, pouredFor } = storedFound(found) ?? {};
      return typeof pouredId === 'string' && isComponent(pouredFor) ? [[pouredFor, pouredId] as const] : [];
    }),
  );
}

/** A machine as fluids are judged against it today. */
export async function fluidTarget(
  machineId: string,
  { fuel, spec }: Pick<MachineSetUp, 'fuel' | 'spec'>,
  site: Site,
  today: CivilDate,
): Promise<ToldTarget> {
  return {
    fuel,
    fluids: spec.fluids,
    fits: fluidFits(await fitsOf(machineId)),
    expected: expectedFrom(climateOf(site), today),
    units: site.unitSystem,
  };
}

const AT = { fluid: '/found/pouredId', reason: '/found/pouredWhy' } as const;

/** Refuses an article poured at a step that is none of the shelf, or a fluid that does not belong there; `before`: what was found so far. */
export async function checkPouredAt(
  { fills }: SheetStep,
  { pouredId, pouredFor, pouredWhy }: Found,
  before: Found | null,
  caller: Person,
  targetOf: () => Promise<ToldTarget>,
): Promise<void> {
  if (pouredId === undefined) return;
  // What stood there was judged then: who goes on with the step need not be who answered for it.
  if (
    pouredId === before?.['pouredId'] &&
    pouredFor === before['pouredFor'] &&
    pouredWhy === before['pouredWhy']
  )
    return;
  const article = typeof pouredId === 'string' ? await Article.findByPk(pouredId) : null;
  if (!fills || pouredFor !== fills.fluid || article?.kind !== 'fluid')
    throw fieldProblem(fault(AT.fluid, 'unknown', 'Choose a fluid of the shelf, or type what goes in.'));
  const words = stopWords(article, [fills.fluid], await targetOf());
  const faults = stopFault(words, typeof pouredWhy === 'string' ? pouredWhy : '', caller, AT);
  if (faults.length) throw fieldProblem(...faults);
}
