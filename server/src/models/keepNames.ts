import { Job } from './job.model.js';

/** Only those that have none yet: a name once kept stays. */
const STATEMENTS = [
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

/** What keeps the names of all records that have none yet. */
export const KEEP_ALL_NAMES: readonly string[] = STATEMENTS;

/**
 * Keeps the names of machine, people, items and articles with the record of a job, or of all that have none yet, inside the running unit
 * of work: what is called otherwise later leaves the record as it was signed.
 */
export async function keepNames(jobId: string | null): Promise<void> {
  const { sequelize } = Job;
  if (!sequelize) throw new Error('The models are not connected.');
  for (const statement of STATEMENTS) {
    await sequelize.query(jobId === null ? statement : `${statement} AND jobs.id = :jobId`, {
      replacements: { jobId },
    });
  }
}
