import type { FieldFaultDto, FitFieldsDto } from '@yugator/contracts';
import { componentSpec, expectedFrom, isReason, judgeSubstitute, mayHave } from '@yugator/core';
import type { Comparable, SubstituteReason } from '@yugator/core';
import { Machine } from '../models/machine.model.js';
import type { Person } from '../models/person.model.js';
import { Article } from '../models/shelf.model.js';
import { fault } from '../problem/problem.js';
import type { ScheduledMachine } from '../schedule/fleetSchedule.js';
import { storedTraits } from '../shelf/articleTraits.js';
import { fluidFits } from '../shelf/fits.js';
import type { ShelvedFit } from '../shelf/fits.js';
import { stopFault, stopWords } from '../shelf/judgeArticle.js';
import { pieceFaults } from '../shelf/wholePieces.js';
import type { SiteNow } from '../site/siteCalendar.js';
import { climateOf } from '../site/workshop.js';
import { rulesOn } from './rulesOn.js';
import { storedCardOrEmpty } from './storedCard.js';
import { isCovered } from './warrantyOf.js';

/** Why an article may not take the place of the original. */
const REFUSED: Partial<Record<SubstituteReason, string>> = {
  figuresRefuse:
    'It is smaller than the original, or of another thread or gasket. Choose one that is equal or larger.',
  otherComponent: 'It is something else than the original. Choose another.',
  houseRuleWarranty: "The house rule is the maker's own while under warranty. Choose that.",
  houseRuleMaker: "The house rule is the maker's own. Choose that.",
};

function comparable(article: Article): Comparable {
  return { component: article.component, ...storedTraits(article) };
}

/** What a machine is said to take is judged against. */
export interface FitFacts {
  /** what fits it now */
  readonly before: readonly ShelvedFit[];
  /** by id; all that are named */
  readonly articles: ReadonlyMap<string, Article>;
  readonly scheduled: ScheduledMachine;
  readonly siteNow: SiteNow;
  readonly caller: Pick<Person, 'role'>;
}

/** The articles that are said to fit, by id. */
export async function articlesOf(fits: readonly FitFieldsDto[]): Promise<ReadonlyMap<string, Article>> {
  const articles = await Article.findAll({ where: { id: fits.map(({ articleId }) => articleId) } });
  return new Map(articles.map((article) => [article.id, article]));
}

/** What the machine, its card, the figures and the house rules say against all that is said to fit it. */
export function fitFaults(fits: readonly FitFieldsDto[], facts: FitFacts): FieldFaultDto[] {
  const { articles, before, scheduled } = facts;
  const known = fits.flatMap((fit) => {
    const article = articles.get(fit.articleId);
    return article ? [{ ...fit, article }] : [];
  });
  const stood = new Set(before.map(lineKey));
  return fits.flatMap((fit, at) => {
    const pointer = `/fits/${at}`;
    // What stands there was judged then: who adds a line need not be who answered for the others.
    if (stood.has(lineKey(fit))) return [];
    const article = articles.get(fit.articleId);
    if (!article)
      return [fault(`${pointer}/articleId`, 'unknown', 'This article is no longer on the shelf.')];
    const plain = plainFaults(fit, article, scheduled.machine, pointer);
    return plain.length ? plain : judged({ ...fit, article }, known, facts, pointer);
  });
}

/** All that is said in a line, to tell whether it changed. */
function lineKey({ component, articleId, quantity, standing, reason }: FitFieldsDto): string {
  return JSON.stringify([component, articleId, quantity, standing, reason]);
}

function plainFaults(
  { component, standing, reason, quantity }: FitFieldsDto,
  article: Article,
  { machineClass, fuel }: Machine,
  pointer: string,
): FieldFaultDto[] {
  const { words } = componentSpec(component);
  const at = (field: string, code: string, detail: string) => [fault(`${pointer}/${field}`, code, detail)];
  if (!mayHave(component, machineClass, fuel))
    return at('component', 'notHere', `This machine has no ${words}. Choose another.`);
  if (article.kind === 'kit')
    return at('articleId', 'kit', 'Say which of its parts fit; the kit is opened for them by itself.');
  if (article.component !== null && article.component !== component)
    return at(
      'articleId',
      'otherComponent',
      `${article.name} is for the ${componentSpec(article.component).words}.`,
    );
  const pieces = pieceFaults(article, quantity, `${pointer}/quantity`);
  if (pieces.length) return pieces;
  return standing === 'substitute' && !isReason(reason)
    ? at('reason', 'needed', 'Say in 3 letters or more why it takes the place of the original.')
    : [];
}

/** What the card, the figures and the house rules say against an article. */
function judged(
  fit: ShelvedFit,
  all: readonly ShelvedFit[],
  { scheduled: { machine, schedule }, siteNow: { site, today }, caller }: FitFacts,
  pointer: string,
): FieldFaultDto[] {
  const { component, article, standing, reason } = fit;
  const target = {
    fuel: machine.fuel,
    fluids: storedCardOrEmpty(machine.spec).fluids,
    // The original is judged by the card alone; what is said to fit now cannot speak for itself.
    fits: fluidFits(all).filter((each) => each.articleId !== article.id),
    expected: expectedFrom(climateOf(site), today),
    units: site.unitSystem,
  };
  const at = { fluid: `${pointer}/articleId`, reason: `${pointer}/reason` };
  if (article.kind === 'fluid') return stopFault(stopWords(article, [component], target), reason, caller, at);
  const original = all.find((each) => each.component === component && each.standing === 'original');
  if (standing === 'original' || !original) return [];
  const judgement = judgeSubstitute({
    original: comparable(original.article),
    candidate: comparable(article),
    machine: { make: machine.make, underWarranty: isCovered(machine, schedule.life, today) },
    partsRule: rulesOn(machine, site).parts,
  });
  if (judgement.verdict === 'refuse')
    return [
      fault(at.fluid, judgement.reason, REFUSED[judgement.reason] ?? 'It does not fit. Choose another.'),
    ];
  return judgement.verdict === 'ask' && !isReason(reason)
    ? [
        fault(
          at.reason,
          'needed',
          'It could not be compared in full. Say why it fits, such as "compared in the shed".',
        ),
      ]
    : [];
}
