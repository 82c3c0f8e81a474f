import type { DrawDto, FieldFaultDto, SignOffDto } from '@yugator/contracts';
import { filledComponents, usedParts } from '@yugator/core';
import type { MachineSetUp } from '@yugator/core';
import { JobItem, JobStep } from '../models/job.model.js';
import type { Person } from '../models/person.model.js';
import { Article } from '../models/shelf.model.js';
import { fieldProblem } from '../problem/problem.js';
import { stopFault, stopWords } from '../shelf/judgeArticle.js';
import type { ToldTarget } from '../shelf/judgeArticle.js';
import { partsByKit } from '../shelf/kitParts.js';
import { storedFound } from './storedFound.js';

/** Articles poured with a reason that was given at the step, and those reasons. */
async function givenReasons(jobId: string): Promise<ReadonlyMap<string, string>> {
  const steps = await JobStep.findAll({ where: { jobId } });
  return new Map(
    steps.flatMap(({ found }) => {
      const { pouredId, pouredWhy } = storedFound(found) ?? {};
      return typeof pouredId === 'string' && typeof pouredWhy === 'string'
        ? [[pouredId, pouredWhy] as const]
        : [];
    }),
  );
}

/** The articles of a draw that were used: itself, or what a kit held and is not left. */
async function usedArticles(draws: readonly DrawDto[]): Promise<Article[][]> {
  const parts = await partsByKit(draws.map(({ articleId }) => articleId));
  const ids = draws.map(({ articleId, quantity, left = [] }) => {
    return [articleId, ...usedParts(quantity, parts.get(articleId) ?? [], left)];
  });
  const articles = await Article.findAll({ where: { id: ids.flat() } });
  return ids.map((own) => articles.filter(({ id }) => own.includes(id)));
}

/**
 * Refuses fluids among the draws of a sign-off that do not belong in what the job filled. Returns why one was used all the same, as
 * it is to stand in the record; '' where all suit.
 */
export async function checkFluidDraws(
  jobId: string,
  { draws, fluidReason = '' }: SignOffDto,
  setUp: MachineSetUp,
  target: ToldTarget,
  caller: Person,
): Promise<string> {
  const done = await JobItem.findAll({ where: { jobId, outcome: 'done' }, attributes: ['itemId'] });
  const components = filledComponents(setUp, new Set(done.map(({ itemId }) => itemId)));
  const reasons = await givenReasons(jobId);
  const used = await usedArticles(draws);
  const faults: FieldFaultDto[] = [];
  const said = new Set<string>();
  for (const [at, articles] of used.entries())
    for (const article of articles) {
      const given = reasons.get(article.id);
      if (given) said.add(given);
      const words = given ? '' : stopWords(article, components, target);
      if (!words) continue;
      const pointers = { fluid: `/draws/${at}/articleId`, reason: '/fluidReason' };
      faults.push(...stopFault(words, fluidReason, caller, pointers));
      said.add(fluidReason);
    }
  if (faults.length) throw fieldProblem(...faults);
  return [...said].filter(Boolean).join('; ').slice(0, 200);
}
