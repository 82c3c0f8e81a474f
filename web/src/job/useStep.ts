import { useQueryClient } from '@tanstack/react-query';
import type { Found, JobDto, JobStepDto, UpdateStepDto } from '@yugator/contracts';
import { ApiProblem } from '../api/problem.js';
import { useWrite } from '../api/useWrite.js';
import { jobQueries } from './jobQueries.js';

/** A step as it stands, with nothing said of it while nobody touched it. */
export function stepOf(job: JobDto, key: string): Omit<JobStepDto, 'by'> & { readonly by: string | null } {
  return (
    job.steps.find((step) => step.key === key) ?? {
      ...{ key, isDone: false, isAcknowledged: false, startedAt: null, found: null, by: null, version: 0 },
    }
  );
}

type Change = Partial<Pick<UpdateStepDto, 'isDone' | 'isAcknowledged' | 'timer'>> & {
  readonly found?: Found;
};

/** Says where a step stands; others on the same job see it at once. */
export function useStep(job: JobDto, key: string) {
  const client = useQueryClient();
  const { queryKey } = jobQueries.one(job.id);
  const write = useWrite<JobDto, UpdateStepDto>(
    (body) => ({ method: 'PUT', path: `/jobs/${job.id}/steps/${encodeURIComponent(key)}`, body }),
    [],
    (now) => client.setQueryData(queryKey, now),
  );
  const say = (change: Change, onDone?: () => void) => {
    // What was said a moment ago may have moved the step on.
    const now = stepOf(client.getQueryData<JobDto>(queryKey) ?? job, key);
    const { isDone, isAcknowledged, found, version } = now;
    write.mutate(
      { ...{ isDone, isAcknowledged, found, version }, ...change },
      {
        onSuccess: onDone,
        onError: (error) => {
          if (error instanceof ApiProblem && error.status === 409)
            void client.invalidateQueries({ queryKey });
        },
      },
    );
  };
  return { state: stepOf(job, key), say, isPending: write.isPending, error: write.error };
}
