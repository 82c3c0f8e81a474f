import { Injectable } from '@nestjs/common';
import type { JobDrawDto, JobDto, JobStepDto } from '@yugator/contracts';
import { civilDateAt, proposedDraw } from '@yugator/core';
import type { Instant, MachineSetUp } from '@yugator/core';
import { Item } from '../models/book.model.js';
import { Machine } from '../models/machine.model.js';
import { namesById } from '../people/namesById.js';
import { notFound } from '../problem/problem.js';
import { expectedShown } from '../meter/toRoundMeter.js';
import { FleetSchedule } from '../schedule/fleetSchedule.js';
import { toDueLines } from '../schedule/toDueLine.js';
import { Shelf } from '../shelf/shelf.js';
import { Article, ItemArticleRow, Movement } from '../models/shelf.model.js';
import { SiteCalendar } from '../site/siteCalendar.js';
import { Defects } from '../defect/defects.js';
import { UsedOil } from '../oil/usedOil.js';
import { itemNeeds } from './itemNeeds.js';
import { Job, JobItem, JobPhoto, JobStep } from '../models/job.model.js';
import { setUpOf } from './setUpOf.js';
import { storedFound } from './storedFound.js';
import { toRecordDto } from './toRecordDto.js';

function toStepDto(step: JobStep, names: ReadonlyMap<string, string>): JobStepDto {
  return {
    key: step.stepKey,
    isDone: step.isDone,
    isAcknowledged: step.isAcknowledged,
    startedAt: step.startedAt?.toISOString() ?? null,
    found: storedFound(step.found),
    by: names.get(step.changedById) ?? '',
    version: step.version,
  };
}

/** Reads jobs as sheets. */
@Injectable()
export class JobSheets {
  constructor(
    private readonly calendar: SiteCalendar,
    private readonly schedule: FleetSchedule,
    private readonly shelf: Shelf,
    private readonly defects: Defects,
    private readonly usedOil: UsedOil,
  ) {}

  /** What the sheet of a job is composed from. */
  async setUp({ id, machineId }: Pick<Job, 'id' | 'machineId'>): Promise<MachineSetUp> {
    const [items, scheduled, { site }] = await Promise.all([
      JobItem.findAll({ where: { jobId: id }, attributes: ['itemId'], raw: true }),
      this.schedule.readOne(machineId),
      this.calendar.read(),
    ]);
    if (!scheduled) throw notFound('machine');
    return setUpOf(scheduled, site, new Set(items.map(({ itemId }) => itemId)));
  }

  async get(id: string): Promise<JobDto> {
    const job = await Job.findByPk(id, {
      include: [Machine, { model: JobItem, include: [Item] }, { model: Movement, include: [Article] }],
    });
    if (!job?.machine) throw notFound('job');
    const { site, today } = await this.calendar.read();
    const chosen = new Set((job.items ?? []).map((item) => item.itemId));
    const [scheduled, names, proposed, steps, defects, vessels, needs, photos] = await Promise.all([
      this.schedule.readOne(job.machineId),
      namesById(),
      this.proposed((job.items ?? []).filter(({ outcome }) => outcome === 'done').map((item) => item.itemId)),
      JobStep.findAll({ where: { jobId: id } }),
      this.defects.open(job.machineId),
      this.usedOil.vessels(site),
      this.shelf.onHandById().then((onHand) => itemNeeds([...chosen], onHand)),
      JobPhoto.findAll({
        where: { jobId: id },
        attributes: ['id', 'caption', 'takenById'],
        order: ['takenAt', 'id'],
      }),
    ]);
    const lines = new Map((scheduled ? toDueLines(scheduled) : []).map((line) => [line.itemId, line]));
    const tag = job.machineTag ?? job.machine.tag;
    const name = job.machineName ?? job.machine.name;
    return {
      id,
      machine: { id: job.machineId, tag, name },
      state: job.state,
      openedOn: civilDateAt(job.openedAt.getTime() as Instant, site.timeZone),
      openedBy: names.get(job.openedById) ?? '',
      items: (job.items ?? [])
        .toSorted((a, b) => (a.item?.place ?? 0) - (b.item?.place ?? 0))
        .map((item) => ({
          itemId: item.itemId,
          name: item.itemName ?? item.item?.name ?? '',
          outcome: item.outcome,
          untilOn: item.untilOn,
          untilLife: item.untilLife,
          untilMeter: item.untilMeter,
          severity: item.severity,
          note: item.note,
          version: item.version,
          minutes: item.item?.minutes ?? 0,
          due: lines.get(item.itemId) ?? null,
        })),
      proposed,
      needs,
      setUp: setUpOf(scheduled ?? { machine: job.machine, facts: { items: [] } }, site, chosen),
      steps: steps.map((step) => toStepDto(step, names)),
      vessels,
      pausedReason: job.pausedReason,
      defects,
      photos: photos.map((photo) => ({
        id: photo.id,
        path: `/api/jobs/${id}/photos/${photo.id}`,
        caption: photo.caption,
        by: names.get(photo.takenById) ?? '',
      })),
      labourRateMinor: site.labourRateMinor,
      lastShown: scheduled?.schedule.lastReading?.shown ?? null,
      expectedShown: scheduled ? expectedShown(scheduled.schedule.meters.engine, today) : null,
      version: job.version,
      record: toRecordDto(job),
    };
  }

  private async proposed(itemIds: readonly string[]): Promise<JobDrawDto[]> {
    const needs = await ItemArticleRow.findAll({ where: { itemId: [...itemIds] }, include: [Article] });
    const stock = await this.shelf.onHandById();
    const articles = new Map(needs.map((need) => [need.articleId, need.article]));
    return proposedDraw(itemIds, needs).flatMap(({ articleId, quantity }) => {
      const article = articles.get(articleId);
      if (!article) return [];
      const { name, unit, priceMinor } = article;
      return [{ articleId, name, unit, quantity, onHand: stock.get(articleId) ?? 0, priceMinor }];
    });
  }
}
