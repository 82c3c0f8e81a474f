import type { DefectDto, DefectEndDto } from '@yugator/contracts';
import { civilDateAt, instantOf } from '@yugator/core';
import type { CivilDate } from '@yugator/core';
import { Op } from 'sequelize';
import { Defect, DefectPhoto } from '../models/defect.model.js';
import { Job } from '../models/job.model.js';
import { VisitCard, VisitCardDefect } from '../models/plan.model.js';
import { namesById } from '../people/namesById.js';
import type { SiteNow } from '../site/siteCalendar.js';
import { storedSearches } from './storedSearches.js';

/** What is told of defects beside their own rows. */
interface Around {
  readonly names: ReadonlyMap<string, string>;
  readonly jobs: ReadonlyMap<string, Job>;
  /** the open job of a machine, by the machine's id */
  readonly openJobs: ReadonlyMap<string, string>;
  readonly photoIds: ReadonlyMap<string, string[]>;
  /** the day of a defect's next visit, by its id */
  readonly plannedOn: ReadonlyMap<string, string>;
  readonly timeZone: string;
}

/** The first day from today on of a card that is for each of these defects. */
async function plannedDays(ids: readonly string[], today: CivilDate): Promise<ReadonlyMap<string, string>> {
  const cards = await VisitCard.findAll({
    where: { onDay: { [Op.gte]: today } },
    attributes: ['id', 'onDay'],
    include: [{ model: VisitCardDefect, where: { defectId: [...ids] }, required: true }],
    order: [['onDay', 'DESC']],
  });
  // The earliest is set last.
  return new Map(
    cards.flatMap(({ onDay, defects = [] }) => defects.map(({ defectId }) => [defectId, onDay] as const)),
  );
}

function endOf(row: Defect, { names, jobs, timeZone }: Around): DefectEndDto | null {
  if (row.voidedAt) {
    const on = civilDateAt(instantOf(row.voidedAt.getTime()), timeZone);
    const by = names.get(row.voidedById ?? '') ?? '';
    return { how: 'takenBack', on, by, words: row.voidReason ?? 'Its record was voided' };
  }
  const job = jobs.get(row.closedByJobId ?? '');
  return job ? { how: 'mended', on: job.doneOn ?? '', by: job.doneByName ?? '', words: job.note } : null;
}

function toDefectDto(row: Defect, around: Around): DefectDto {
  const { id, foundOn, words, severity, minutes, machineId, foundInJobId, closedByJobId } = row;
  const isOpen = !closedByJobId && !row.voidedAt;
  return {
    id,
    foundOn,
    words,
    severity,
    minutes: minutes ?? null,
    foundInJobId,
    closedByJobId,
    machine: { id: machineId, tag: row.machine?.tag ?? '', name: row.machine?.name ?? '' },
    reportedBy: around.names.get(row.reportedById) ?? '',
    itemName: row.item?.name ?? null,
    openJobId: around.openJobs.get(machineId) ?? null,
    plannedOn: isOpen ? (around.plannedOn.get(id) ?? null) : null,
    ended: endOf(row, around),
    photos: (around.photoIds.get(id) ?? []).map((photoId) => `/defects/${id}/photos/${photoId}`),
    searches: storedSearches(row.searches),
  };
}

/** Defects as they cross the wire, in the order of `rows`, which carry their machines and items. */
export async function toDefectDtos(
  rows: readonly Defect[],
  { site, today }: Pick<SiteNow, 'site' | 'today'>,
): Promise<DefectDto[]> {
  if (rows.length === 0) return [];
  const machineId = [...new Set(rows.map((row) => row.machineId))];
  const closed = rows.flatMap(({ closedByJobId }) => closedByJobId ?? []);
  const [names, jobs, open, plannedOn, photos] = await Promise.all([
    namesById(),
    Job.findAll({ where: { id: closed } }),
    Job.findAll({ where: { machineId, state: 'open' }, attributes: ['id', 'machineId'], raw: true }),
    plannedDays(
      rows.map(({ id }) => id),
      today,
    ),
    DefectPhoto.findAll({
      where: { defectId: rows.map(({ id }) => id) },
      attributes: ['id', 'defectId'],
      order: ['takenAt', 'id'],
      raw: true,
    }),
  ]);
  const photoIds = new Map<string, string[]>();
  for (const { id, defectId } of photos) photoIds.set(defectId, [...(photoIds.get(defectId) ?? []), id]);
  const around: Around = {
    names,
    photoIds,
    plannedOn,
    timeZone: site.timeZone,
    jobs: new Map(jobs.map((job) => [job.id, job])),
    openJobs: new Map(open.map((job) => [job.machineId, job.id])),
  };
  return rows.map((row) => toDefectDto(row, around));
}
