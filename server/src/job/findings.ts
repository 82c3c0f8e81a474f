import { jobFindings } from '@yugator/core';
import type { Finding, MachineSetUp } from '@yugator/core';
import { JobItem, JobStep } from '../models/job.model.js';
import { storedFindings, storedFound } from './storedFound.js';

/** What was found of an item, as it was kept. */
export function findingsOf({ findings }: Pick<JobItem, 'findings'>): Finding[] {
  return storedFindings(findings);
}

/** Keeps with each item of a job what its steps found, judged by the card and the rules of today. */
export async function keepFindings(jobId: string, setUp: MachineSetUp): Promise<void> {
  const rows = await JobStep.findAll({ where: { jobId, isDone: true } });
  const found = rows.flatMap(({ stepKey, found: stored }) => {
    const own = storedFound(stored);
    return own ? [[stepKey, own] as const] : [];
  });
  for (const [itemId, findings] of jobFindings(setUp, new Map(found))) {
    await JobItem.update({ findings }, { where: { jobId, itemId } });
  }
}
