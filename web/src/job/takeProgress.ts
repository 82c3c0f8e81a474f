import type { QueryClient } from '@tanstack/react-query';
import type { JobDto, JobProgressDto } from '@yugator/contracts';
import { jobQueries } from './jobQueries.js';

/** A job with what a tick changed of it. */
function goneOn(job: JobDto, { items, ...progress }: JobProgressDto): JobDto {
  const changed = new Map(items.map((item) => [item.itemId, item]));
  return {
    ...job,
    ...progress,
    items: job.items.map((item) => ({ ...item, ...changed.get(item.itemId) })),
  };
}

/** Shows what a tick was answered with. A look at the job that was asked for before the tick would write it over, and is not waited for. */
export async function takeProgress(
  client: QueryClient,
  jobId: string,
  progress: JobProgressDto,
): Promise<void> {
  const { queryKey } = jobQueries.one(jobId);
  await client.cancelQueries({ queryKey });
  client.setQueryData<JobDto>(queryKey, (before) => before && goneOn(before, progress));
}
