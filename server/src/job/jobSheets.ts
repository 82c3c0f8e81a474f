import { Injectable } from '@nestjs/common';
import type { JobDto, JobProgressDto, JobStepDto } from '@yugator/contracts';
import { civilDateAt, expectedFrom, instantOf, measuredBeside } from '@yugator/core';
import type { CivilDate, HouseRules, MachineSetUp } from '@yugator/core';
import { Item } from '../models/book.model.js';
import { Machine } from '../models/machine.model.js';
import { Person } from '../models/person.model.js';
import { namesById } from '../people/namesById.js';
import { notFound } from '../problem/problem.js';
import { expectedShown } from '../meter/toRoundMeter.js';
import { FleetSchedule } from '../schedule/fleetSchedule.js';
import type { ScheduledMachine } from '../schedule/fleetSchedule.js';
import { toDueLines } from '../schedule/toDueLine.js';
import { Shelf } from '../shelf/shelf.js';
import { Article, Movement } from '../models/shelf.model.js';
import { SiteCalendar } from '../site/siteCalendar.js';
import type { SiteNow } from '../site/siteCalendar.js';
import { climateOf } from '../site/workshop.js';
import { Defects } from '../defect/defects.js';
import { accessPhotosOf } from '../machine/accessPhotos.js';
import { UsedOil } from '../oil/usedOil.js';
import { earlierFindings } from './earlierFindings.js';
import { needsOfVisit } from './itemNeeds.js';
import { pouredInstead } from './poured.js';
import { Job, JobDefect, JobItem, JobPhoto, JobStep } from '../models/job.model.js';
import { inBookOrder } from './inBookOrder.js';
import { isLeftOutAllowed } from './leaveOut.js';
import { setUpOf } from './setUpOf.js';
import { measuredAt } from './stepSaid.js';
import { storedFound } from './storedFound.js';
import { toRecordDto } from './toRecordDto.js';

function toStepDto(step: JobStep): JobStepDto {
  return {
    key: step.stepKey,
    isDone: step.isDone,
    isAcknowledged: step.isAcknowledged,
    startedAt: step.startedAt?.toISOString() ?? null,
    found: storedFound(step.found),
    others: measuredBeside(measuredAt(step)).flatMap(({ name, at, found }) =>
      found ? [{ by: name, at: new Date(at).toISOString(), found }] : [],
    ),
    by: step.changedBy?.name ?? '',
    version: step.version,
  };
}

/** The machine of a job: by its names of then once the job is signed off. */
function calledThen({ machineId, machineTag, machineName }: Job, { tag, name }: Machine): JobDto['machine'] {
  return { id: machineId, tag: machineTag ?? tag, name: machineName ?? name };
}

/** The items of a job as they stand, in the order of their books. */
function toItemDtos(
  items: readonly JobItem[],
  scheduled: ScheduledMachine | undefined,
  rules: HouseRules,
  today: CivilDate,
): JobDto['items'] {
  const lines = new Map((scheduled ? toDueLines(scheduled) : []).map((line) => [line.itemId, line]));
  return inBookOrder(items).map((row) => ({
    itemId: row.itemId,
    name: row.itemName ?? row.item?.name ?? '',
    outcome: row.outcome,
    untilOn: row.untilOn,
    untilLife: row.untilLife,
    untilMeter: row.untilMeter,
    severity: row.severity,
    leavesOutNext: row.leavesOutNext,
    mayLeaveOutNext: scheduled !== undefined && isLeftOutAllowed(scheduled, row.itemId, rules, today),
    note: row.note,
    version: row.version,
    minutes: row.item?.minutes ?? 0,
    due: lines.get(row.itemId) ?? null,
  }));
}

/** What a tick changes of a job. The rows of its steps carry who touched them. */
export function toProgressDto(
  { pausedReason, version }: Job,
  items: readonly JobItem[],
  steps: readonly JobStep[],
): JobProgressDto {
  return {
    items: items.map((item) => ({ itemId: item.itemId, outcome: item.outcome, version: item.version })),
    steps: steps.map(toStepDto),
    pausedReason,
    version,
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

  /** What the sheet of a job with these items is composed from. */
  async setUp(
    machineId: string,
    items: readonly Pick<JobItem, 'itemId'>[],
    known: SiteNow,
  ): Promise<MachineSetUp> {
    const scheduled = await this.schedule.readOne(machineId, known);
    if (!scheduled) throw notFound('machine');
    return setUpOf(scheduled, known.site, new Set(items.map(({ itemId }) => itemId)));
  }

  /** A job as it stands; `known`: the site of this moment, where it was read already. */
  async get(id: string, known?: SiteNow): Promise<JobDto> {
    const job = await Job.findByPk(id, {
      include: [
        Machine,
        { model: JobItem, include: [Item] },
        { model: JobDefect, separate: true },
        { model: Movement, include: [Article] },
      ],
    });
    if (!job?.machine) throw notFound('job');
    const siteNow = known ?? (await this.calendar.read());
    const { site, today } = siteNow;
    const items = job.items ?? [];
    const chosen = new Set(items.map((item) => item.itemId));
    const [scheduled, names, stock, steps, defects, vessels, photos, accessPhotos, earlier] =
      await Promise.all([
        this.schedule.readOne(job.machineId, siteNow),
        namesById(),
        this.shelf.onHandById(),
        JobStep.findAll({ where: { jobId: id }, include: [Person] }),
        this.defects.open(job.machineId),
        this.usedOil.vessels(site),
        JobPhoto.findAll({
          where: { jobId: id },
          attributes: ['id', 'caption', 'takenById'],
          order: ['takenAt', 'id'],
        }),
        accessPhotosOf(job.machineId),
        // Only an open job shows its steps.
        job.state === 'open' ? earlierFindings(job.machineId) : [],
      ]);
    const setUp = setUpOf(scheduled ?? { machine: job.machine, facts: { items: [] } }, site, chosen);
    const expected = expectedFrom(climateOf(site), today);
    const taken = await needsOfVisit({
      machine: job.machine,
      setUp,
      onHand: stock,
      expected,
      poured: pouredInstead(steps),
    });
    return {
      id,
      machine: calledThen(job, job.machine),
      state: job.state,
      openedOn: civilDateAt(instantOf(job.openedAt.getTime()), site.timeZone),
      openedBy: names.get(job.openedById) ?? '',
      items: toItemDtos(items, scheduled, setUp.rules, today),
      needs: taken.needs,
      kits: taken.kits,
      shed: taken.shed,
      fluids: taken.fluids,
      expected,
      setUp,
      steps: steps.map(toStepDto),
      vessels,
      pausedReason: job.pausedReason,
      earlier,
      accessPhotos,
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
}
