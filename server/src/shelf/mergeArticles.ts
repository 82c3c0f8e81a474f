import { Injectable } from '@nestjs/common';
import type { ArticleDto, FieldFaultDto, MergeArticleDto } from '@yugator/contracts';
import { componentSpec, mergedNumbers } from '@yugator/core';
import { AuditTrail } from '../audit/auditTrail.js';
import { UnitOfWork } from '../database/unitOfWork.js';
import { OfferRow, OrderLine, Supplier } from '../models/buying.model.js';
import { TopUpRow } from '../models/job.model.js';
import { Machine } from '../models/machine.model.js';
import { Person } from '../models/person.model.js';
import {
  Article,
  ArticlePhoto,
  FitRow,
  ItemArticleRow,
  KitPartRow,
  Movement,
  TakeRow,
} from '../models/shelf.model.js';
import { fault, fieldProblem, notFound, stale } from '../problem/problem.js';
import { storedTraits } from './articleTraits.js';
import { Shelf } from './shelf.js';

const KIND_WORDS = { kit: 'a kit', part: 'a part', fluid: 'a fluid' } as const;
const UNIT_WORDS = { piece: 'pieces', litre: 'litres' } as const;

/** What speaks against two articles being one. */
async function mergeFaults(twin: Article, into: Article): Promise<FieldFaultDto[]> {
  const at = (code: string, detail: string) => [fault('/intoId', code, detail)];
  if (twin.id === into.id) return at('itself', 'That is the article itself. Choose the other one.');
  if (twin.kind !== into.kind)
    return at('otherKind', `One is ${KIND_WORDS[twin.kind]}, the other ${KIND_WORDS[into.kind]}.`);
  if (twin.unit !== into.unit)
    return at(
      'otherUnit',
      `One is counted in ${UNIT_WORDS[twin.unit]}, the other in ${UNIT_WORDS[into.unit]}.`,
    );
  if (twin.component && into.component && twin.component !== into.component) {
    const [one, other] = [twin.component, into.component].map((each) => componentSpec(each).words);
    return at('otherComponent', `One is for the ${one}, the other for the ${other}.`);
  }
  const waiting = await TakeRow.count({
    where: { lotId: null },
    include: [{ model: Movement, where: { articleId: [twin.id, into.id] } }],
  });
  return waiting ? at('uncounted', 'Of one of them more was used than ever came in. Count both first.') : [];
}

/** Moves what is said of one article, once for each owner, to another; where the other has it too, that stands. */
async function moveFits(from: string, to: string): Promise<void> {
  const known = await FitRow.findAll({ where: { articleId: to } });
  const stands = new Set(known.map(({ machineId, component }) => `${machineId} ${component}`));
  const moved = await FitRow.findAll({ where: { articleId: from }, raw: true });
  await FitRow.destroy({ where: { articleId: from } });
  await FitRow.bulkCreate(
    moved
      .filter(({ machineId, component }) => !stands.has(`${machineId} ${component}`))
      .map((fit) => ({ ...fit, articleId: to })),
  );
  // Who has the page of such a machine open is told.
  await Machine.increment('version', { where: { id: moved.map(({ machineId }) => machineId) } });
}

async function moveOffers(from: string, to: string): Promise<void> {
  const known = await OfferRow.findAll({ where: { articleId: to } });
  const stands = new Set(known.map(({ supplierId, pack }) => `${supplierId} ${pack}`));
  const moved = await OfferRow.findAll({ where: { articleId: from } });
  await OfferRow.destroy({ where: { articleId: from } });
  await OfferRow.bulkCreate(
    moved
      .filter(({ supplierId, pack }) => !stands.has(`${supplierId} ${pack}`))
      .map(({ supplierId, pack, number, priceMinor, leadDays }) => ({
        supplierId,
        articleId: to,
        pack,
        number,
        priceMinor,
        leadDays,
      })),
  );
  await Supplier.increment('version', { where: { id: moved.map(({ supplierId }) => supplierId) } });
}

/** What kits hold, and what lines of books take, of one is of the other: where both stood there, their quantities add up. */
async function addUp(from: string, to: string): Promise<void> {
  for (const part of await KitPartRow.findAll({ where: { articleId: from } })) {
    const there = await KitPartRow.findOne({ where: { kitId: part.kitId, articleId: to } });
    await part.destroy();
    await Article.increment('version', { where: { id: part.kitId } });
    if (there) await there.update({ quantity: there.quantity + part.quantity });
    else await KitPartRow.create({ kitId: part.kitId, articleId: to, quantity: part.quantity });
  }
  for (const line of await ItemArticleRow.findAll({ where: { articleId: from } })) {
    const there = await ItemArticleRow.findOne({ where: { itemId: line.itemId, articleId: to } });
    await line.destroy();
    if (there) await there.update({ quantity: there.quantity + line.quantity });
    else await ItemArticleRow.create({ itemId: line.itemId, articleId: to, quantity: line.quantity });
  }
}

/** The photo of the article that stays stands; where it has none, it takes the other's. */
async function movePhoto(from: string, to: string): Promise<void> {
  if (await ArticlePhoto.findByPk(to)) await ArticlePhoto.destroy({ where: { articleId: from } });
  else await ArticlePhoto.update({ articleId: to }, { where: { articleId: from } });
}

/** Makes one article of two that were entered for the same thing. */
@Injectable()
export class MergeArticles {
  constructor(
    private readonly work: UnitOfWork,
    private readonly shelf: Shelf,
    private readonly audit: AuditTrail,
  ) {}

  /** All that is known of `id`, its stock in lots and all that moved, goes to the other; what was signed keeps the name of then. */
  async merge(
    id: string,
    { intoId, version, intoVersion }: MergeArticleDto,
    person: Person,
    address: string,
  ): Promise<ArticleDto> {
    return this.work.run(async () => {
      // In one order, so that two who merge the same pair do not wait for each other.
      const both = await Article.findAll({ where: { id: [id, intoId] }, order: ['id'], lock: true });
      const [twin, into] = [id, intoId].map((one) => both.find((each) => each.id === one));
      if (!twin) throw notFound('article');
      if (!into) throw fieldProblem(fault('/intoId', 'unknown', 'This article is no longer on the shelf.'));
      if (twin.version !== version) throw stale('article', await this.shelf.get(id));
      if (into.version !== intoVersion) throw stale('article', await this.shelf.get(intoId));
      const faults = await mergeFaults(twin, into);
      if (faults.length) throw fieldProblem(...faults);
      await this.move(twin, into);
      await this.audit.note({
        act: 'articlesMerged',
        person,
        subject: `${twin.name} into ${into.name}`,
        address,
      });
      this.work.changed('shelf', 'machines', 'jobs');
      return this.shelf.get(intoId);
    });
  }

  private async move(twin: Article, into: Article): Promise<void> {
    const [traits, others] = [storedTraits(into), storedTraits(twin)];
    const { number, barcode, makerNumbers } = mergedNumbers(
      { number: into.number, barcode: into.barcode, makerNumbers: traits.makerNumbers },
      { number: twin.number, barcode: twin.barcode, makerNumbers: others.makerNumbers },
    );
    const where = { articleId: twin.id };
    await Movement.update({ articleId: into.id }, { where });
    await OrderLine.update({ articleId: into.id }, { where });
    await TopUpRow.update({ articleId: into.id }, { where });
    await moveFits(twin.id, into.id);
    await moveOffers(twin.id, into.id);
    await addUp(twin.id, into.id);
    // A kit that is one with another holds what that holds.
    await KitPartRow.destroy({ where: { kitId: twin.id } });
    await movePhoto(twin.id, into.id);
    await twin.destroy();
    await into.update({
      number,
      barcode,
      component: into.component ?? twin.component,
      place: into.place || twin.place,
      traits: {
        makerNumbers,
        fluid: traits.fluid ?? others.fluid,
        filter: traits.filter ?? others.filter,
        plug: traits.plug ?? others.plug,
      },
      version: into.version + 1,
    });
  }
}
