import { Injectable } from '@nestjs/common';
import type { FieldFaultDto, FitFieldsDto, FitsDto, UpdateFitsDto } from '@yugator/contracts';
import { componentSpec, expectedFrom, isReason, judgeSubstitute, mayHave } from '@yugator/core';
import type { Comparable, SubstituteReason } from '@yugator/core';
import { UnitOfWork } from '../database/unitOfWork.js';
import { Machine } from '../models/machine.model.js';
import { Person } from '../models/person.model.js';
import { Article, FitRow } from '../models/shelf.model.js';
import { fault, fieldProblem, notFound, stale } from '../problem/problem.js';
import { FleetSchedule } from '../schedule/fleetSchedule.js';
import type { ScheduledMachine } from '../schedule/fleetSchedule.js';
import { storedTraits } from '../shelf/articleTraits.js';
import { fitsOf, fluidFits } from '../shelf/fits.js';
import type { ShelvedFit } from '../shelf/fits.js';
import { stopFault, stopWords } from '../shelf/judgeArticle.js';
import { Shelf } from '../shelf/shelf.js';
import { SiteCalendar } from '../site/siteCalendar.js';
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

/** What fits a machine. */
@Injectable()
export class Fits {
  constructor(
    private readonly work: UnitOfWork,
    private readonly calendar: SiteCalendar,
    private readonly schedule: FleetSchedule,
    private readonly shelf: Shelf,
  ) {}

  async of(machineId: string): Promise<FitsDto> {
    const [scheduled, { today }, fits, onHand] = await Promise.all([
      this.schedule.readOne(machineId),
      this.calendar.read(),
      fitsOf(machineId),
      this.shelf.onHandById(),
    ]);
    if (!scheduled) throw notFound('machine');
    return {
      fits: fits.map(({ component, articleId, quantity, standing, reason, article: { name, unit } }) => ({
        component,
        articleId,
        quantity,
        standing,
        reason,
        name,
        unit,
        onHand: onHand.get(articleId) ?? 0,
      })),
      underWarranty: isCovered(scheduled.machine, scheduled.schedule.life, today),
      version: scheduled.machine.version,
    };
  }

  /** Says anew what fits a machine. What the card or the house rules forbid is refused. */
  async update(machineId: string, { fits, version }: UpdateFitsDto, caller: Person): Promise<FitsDto> {
    const siteNow = await this.calendar.read();
    return this.work.run(async () => {
      const machine = await Machine.findByPk(machineId, { lock: true });
      if (!machine) throw notFound('machine');
      if (machine.version !== version) throw stale('machine', await this.of(machineId));
      const scheduled = await this.schedule.readOne(machineId);
      if (!scheduled) throw notFound('machine');
      const faults = await this.faults(fits, scheduled, siteNow, caller);
      if (faults.length) throw fieldProblem(...faults);
      await FitRow.destroy({ where: { machineId } });
      await FitRow.bulkCreate(fits.map((fit) => ({ ...fit, machineId })));
      await machine.update({ version: version + 1 });
      await this.schedule.touched([machineId]);
      this.work.changed('machines');
      return this.of(machineId);
    });
  }

  private async faults(
    fits: readonly FitFieldsDto[],
    scheduled: ScheduledMachine,
    siteNow: SiteNow,
    caller: Person,
  ): Promise<FieldFaultDto[]> {
    const articles = await Article.findAll({ where: { id: fits.map(({ articleId }) => articleId) } });
    const byId = new Map(articles.map((article) => [article.id, article]));
    const known = fits.flatMap((fit) => {
      const article = byId.get(fit.articleId);
      return article ? [{ ...fit, article }] : [];
    });
    const before = new Set((await fitsOf(scheduled.machine.id)).map(lineKey));
    return fits.flatMap((fit, at) => {
      const pointer = `/fits/${at}`;
      // What stands there was judged then: who adds a line need not be who answered for the others.
      if (before.has(lineKey(fit))) return [];
      const article = byId.get(fit.articleId);
      if (!article)
        return [fault(`${pointer}/articleId`, 'unknown', 'This article is no longer on the shelf.')];
      const plain = plainFaults(fit, article, scheduled.machine, pointer);
      if (plain.length) return plain;
      return judged({ ...fit, article }, known, scheduled, siteNow, caller, pointer);
    });
  }
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
  if (article.unit === 'piece' && quantity !== null && !Number.isInteger(quantity))
    return at('quantity', 'notWhole', 'Pieces are whole: type a whole number.');
  if (standing === 'substitute' && !isReason(reason))
    return at('reason', 'needed', 'Say in 3 letters or more why it takes the place of the original.');
  return [];
}

/** What the card, the figures and the house rules say against an article. */
function judged(
  fit: ShelvedFit,
  all: readonly ShelvedFit[],
  { machine, schedule }: ScheduledMachine,
  { site, today }: SiteNow,
  caller: Person,
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
