import type { DefectDto, DefectEndDto } from '@yugator/contracts';
import { civilDateAt, instantOf } from '@yugator/core';
import { Defect, DefectPhoto } from '../models/defect.model.js';
import { Job } from '../models/job.model.js';
import { namesById } from '../people/namesById.js';
import { storedSearches } from './storedSearches.js';

/** What is told of defects beside their own rows. */
interface Around {
  readonly names: ReadonlyMap<string, string>;
  readonly jobs: ReadonlyMap<string, Job>;
  /** the open job of a machine, by the machine's id */
  readonly openJobs: ReadonlyMap<string, string>;
  readonly photoIds: ReadonlyMap<string, string[]>;
  readonly timeZone: string;
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
  const { id, foundOn, words, severity, machineId, foundInJobId, closedByJobId } = row;
  return {
    id,
    foundOn,
    words,
    severity,
    foundInJobId,
    closedByJobId,
    machine: { id: machineId, tag: row.machine?.tag ?? '', name: row.machine?.name ?? '' },
    reportedBy: around.names.get(row.reportedById) ?? '',
    itemName: row.item?.name ?? null,
    openJobId: around.openJobs.get(machineId) ?? null,
    ended: endOf(row, around),
    photos: (around.photoIds.get(id) ?? []).map((photoId) => `/defects/${id}/photos/${photoId}`),
    searches: storedSearches(row.searches),
  };
}

/** Defects as they cross the wire, in the order of `rows`, which carry their machines and items. */
export async function toDefectDtos(rows: readonly Defect[], timeZone: string): Promise<DefectDto[]> {
  if (rows.length === 0) return [];
  const machineId = [...new Set(rows.map((row) => row.machineId))];
  const closed = rows.flatMap(({ closedByJobId }) => closedByJobId ?? []);
  const [names, jobs, open, photos] = await Promise.all([
    namesById(),
    Job.findAll({ where: { id: closed } }),
    Job.findAll({ where: { machineId, state: 'open' }, attributes: ['id', 'machineId'], raw: true }),
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
    timeZone,
    jobs: new Map(jobs.map((job) => [job.id, job])),
    openJobs: new Map(open.map((job) => [job.machineId, job.id])),
  };
  return rows.map((row) => toDefectDto(row, around));
}
