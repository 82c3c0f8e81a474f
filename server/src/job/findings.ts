import { jobFindings } from '@yugator/core';
import type { Finding, MachineSetUp } from '@yugator/core';
import { JobItem, JobStep } from '../models/job.model.js';
import { storedFindings, storedFound } from './storedFound.js';

/** What was found of an item, as it was kept. */
export function findingsOf({ findings }: Pick<JobItem, 'findings'>): Finding[] {
  return storedFindings(findings);
}

/** Keeps with each item of a job what its steps found, judged by the card and the rules of today, and says what that was. */
export async function keepFindings(
  jobId: string,
  setUp: MachineSetUp,
): Promise<ReadonlyMap<string, readonly Finding[]>> {
  const rows = await JobStep.findAll({ where: { jobId, isDone: true } });
  const found = rows.flatMap(({ stepKey, found: stored }) => {
    const own = storedFound(stored);
    return own ? [[stepKey, own] as const] : [];
  });
  const byItem = jobFindings(setUp, new Map(found));
  for (const [itemId, findings] of byItem) await JobItem.update({ findings }, { where: { jobId, itemId } });
  return byItem;
}
