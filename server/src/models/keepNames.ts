import { Job } from './job.model.js';

/** Keeps the names of records that have none yet: a name once kept stays. Each can be bounded by a further condition on `jobs`. */
export const KEEP_NAMES: readonly string[] = [
  `UPDATE jobs
    JOIN machines ON machines.id = jobs.machine_id
    LEFT JOIN people AS doers ON doers.id = jobs.done_by_id
    LEFT JOIN people AS signers ON signers.id = jobs.signed_off_by_id
    LEFT JOIN people AS voiders ON voiders.id = jobs.voided_by_id
    SET jobs.machine_tag = COALESCE(jobs.machine_tag, machines.tag),
      jobs.machine_name = COALESCE(jobs.machine_name, machines.name),
      jobs.done_by_name = COALESCE(jobs.done_by_name, doers.name),
      jobs.signed_off_by_name = COALESCE(jobs.signed_off_by_name, signers.name),
      jobs.voided_by_name = COALESCE(jobs.voided_by_name, voiders.name)
    WHERE jobs.state IN ('signedOff', 'voided')`,
  `UPDATE job_items
    JOIN jobs ON jobs.id = job_items.job_id
    JOIN items ON items.id = job_items.item_id
    SET job_items.item_name = items.name
    WHERE job_items.item_name IS NULL AND jobs.state IN ('signedOff', 'voided')`,
  `UPDATE movements
    JOIN jobs ON jobs.id = movements.job_id
    JOIN articles ON articles.id = movements.article_id
    SET movements.article_name = articles.name, movements.article_unit = articles.unit
    WHERE movements.article_name IS NULL AND jobs.state IN ('signedOff', 'voided')`,
];

async function keep(condition: string, replacements: Record<string, unknown>): Promise<void> {
  const { sequelize } = Job;
  if (!sequelize) throw new Error('The models are not connected.');
  for (const statement of KEEP_NAMES)
    await sequelize.query(`${statement} AND ${condition}`, { replacements });
}

/**
 * Keeps the names of machine, people, items and articles with the record of a job, inside the running unit of work: what is called
 * otherwise later leaves the record as it was signed.
 */
export function keepNames(jobId: string): Promise<void> {
  return keep('jobs.id = :jobId', { jobId });
}

/** The same with all records of some machines, which came in together; records of others are neither read nor locked. */
export async function keepNamesOf(machineIds: readonly string[]): Promise<void> {
  if (machineIds.length) await keep('jobs.machine_id IN (:machineIds)', { machineIds: [...machineIds] });
}
