import type { Found } from '@yugator/contracts';
import { jobFindings } from '@yugator/core';
import type { Finding, MachineSetUp } from '@yugator/core';
import { jsonValue } from '../database/columns.js';
import { JobItem, JobStep } from './job.model.js';

/** What was found of an item, as it was kept. */
export function findingsOf({ findings }: Pick<JobItem, 'findings'>): Finding[] {
  return (jsonValue(findings) as Finding[] | null) ?? [];
}

/** Keeps with each item of a job what its steps found, judged by the card and the rules of today. */
export async function keepFindings(jobId: string, setUp: MachineSetUp): Promise<void> {
  const rows = await JobStep.findAll({ where: { jobId, isDone: true } });
  const found = rows.flatMap(({ stepKey, found }) =>
    found === null ? [] : [[stepKey, jsonValue(found) as Found] as const],
  );
  for (const [itemId, findings] of jobFindings(setUp, new Map(found))) {
    await JobItem.update({ findings }, { where: { jobId, itemId } });
  }
}
