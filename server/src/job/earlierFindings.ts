import { civilDate } from '@yugator/core';
import type { EarlierFinding } from '@yugator/core';
import { Op } from 'sequelize';
import { Job, JobItem } from '../models/job.model.js';
import { findingsOf } from './findings.js';

/** Visits that are looked back over: four years of a machine that is seen every other month. */
const MOST_VISITS = 24;

/** What the last visits of a machine measured, in records that count; latest first. */
export async function earlierFindings(machineId: string): Promise<EarlierFinding[]> {
  const jobs = await Job.findAll({
    where: { machineId, state: 'signedOff' },
    attributes: ['id', 'doneOn'],
    include: [{ model: JobItem, where: { findings: { [Op.not]: null } } }],
    order: [
      ['doneOn', 'DESC'],
      ['id', 'DESC'],
    ],
    limit: MOST_VISITS,
  });
  return jobs.flatMap(({ doneOn, items }) => {
    // A step that several items have in common is kept with each of them.
    const findings = new Map((items ?? []).flatMap(findingsOf).map((finding) => [finding.key, finding]));
    return [...findings.values()].flatMap((finding) =>
      doneOn !== null && finding.measurement ? [{ on: civilDate(doneOn), finding }] : [],
    );
  });
}
