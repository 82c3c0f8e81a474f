import { proposedDraws } from '@yugator/contracts';
import type { JobDto, SignOffDto } from '@yugator/contracts';
import type { Yard } from './testApp.js';

const mechanic = { as: 'mechanic' } as const;

/** What a mechanic does with jobs of the test crew's machine. */
export function jobActs(yard: () => Yard) {
  const open = async (itemIds: string[], machineId = yard().crew.machine) =>
    yard().ask<JobDto>('POST', '/api/jobs', { ...mechanic, body: { machineId, itemIds } });
  const tick = (job: JobDto, index = 0, over: object = { outcome: 'done' }) => {
    const item = job.items[index];
    return yard().ask<JobDto>('PUT', `/api/jobs/${job.id}/items/${item?.itemId}`, {
      ...mechanic,
      body: { ...over, version: item?.version },
    });
  };
  const signOff = <T = JobDto>(job: JobDto, over: Partial<SignOffDto> = {}) =>
    yard().ask<T>('POST', `/api/jobs/${job.id}/sign-off`, {
      ...mechanic,
      body: {
        doneOn: '2027-05-13',
        shown: 61.5,
        doneById: yard().crew.people.mechanic,
        minutes: 35,
        draws: proposedDraws(job).map(({ articleId, quantity, left }) => ({ articleId, quantity, left })),
        version: job.version,
        ...over,
      },
    });
  /** An open job of oil and grease with the oil done. */
  const ready = async () => (await tick((await open([yard().crew.oil, yard().crew.grease])).body)).body;
  return { mechanic, open, tick, signOff, ready };
}
