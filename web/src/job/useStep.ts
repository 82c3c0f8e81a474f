import { useQueryClient } from '@tanstack/react-query';
import type { Found, JobDto, JobProgressDto, JobStepDto, UpdateStepDto } from '@yugator/contracts';
import { useRef, useState } from 'react';
import { ApiProblem } from '../api/problem.js';
import { useWrite } from '../api/useWrite.js';
import { jobQueries } from './jobQueries.js';

/** A step as it stands, with nothing said of it while nobody touched it. */
export function stepOf(job: JobDto, key: string): Omit<JobStepDto, 'by'> & { readonly by: string | null } {
  return (
    job.steps.find((step) => step.key === key) ?? {
      key,
      isDone: false,
      isAcknowledged: false,
      startedAt: null,
      found: null,
      by: null,
      version: 0,
    }
  );
}

/** A job with what a tick changed of it. */
function goneOn(job: JobDto, { items, ...progress }: JobProgressDto): JobDto {
  const changed = new Map(items.map((item) => [item.itemId, item]));
  return {
    ...job,
    ...progress,
    items: job.items.map((item) => ({ ...item, ...changed.get(item.itemId) })),
  };
}

type Change = Partial<Pick<UpdateStepDto, 'isDone' | 'isAcknowledged' | 'timer'>> & {
  readonly found?: Found;
};

/**
 * Says where a step stands; others on the same job see it at once. What is said while something else of the step is under way goes
 * out after it, so that nobody has to wait with the next tap.
 */
export function useStep(job: JobDto, key: string) {
  const client = useQueryClient();
  const { queryKey } = jobQueries.one(job.id);
  const queue = useRef(Promise.resolve());
  const [isTicking, setTicking] = useState(false);
  // Cautions that were just read: the tick need not wait for the network, for it goes out after them.
  const [isRead, setRead] = useState<boolean | null>(null);
  const { mutateAsync, error } = useWrite<JobProgressDto, UpdateStepDto>(
    (body) => ({ method: 'PUT', path: `/jobs/${job.id}/steps/${encodeURIComponent(key)}`, body }),
    [],
    (now) => client.setQueryData<JobDto>(queryKey, (before) => before && goneOn(before, now)),
  );
  const send = async (change: Change): Promise<boolean> => {
    // What was said a moment ago has moved the step on.
    const now = stepOf(client.getQueryData<JobDto>(queryKey) ?? job, key);
    const { isDone, isAcknowledged, found, version } = now;
    try {
      await mutateAsync({ isDone, isAcknowledged, found, version, ...change });
      return true;
    } catch (refusal) {
      // The mutation shows it; how the step stands now is read anew.
      if (refusal instanceof ApiProblem && refusal.status === 409)
        await client.invalidateQueries({ queryKey });
      return false;
    }
  };
  const say = (change: Change, onDone?: () => void) => {
    const ticks = change.isDone !== undefined;
    const { isAcknowledged = null } = change;
    if (ticks) setTicking(true);
    if (isAcknowledged !== null) setRead(isAcknowledged);
    queue.current = queue.current.then(async () => {
      const isKept = await send(change);
      if (ticks) setTicking(false);
      if (isAcknowledged !== null) setRead(null);
      if (isKept) onDone?.();
    });
  };
  const state = stepOf(job, key);
  return {
    state: { ...state, isAcknowledged: isRead ?? state.isAcknowledged },
    say,
    isPending: isTicking,
    error,
  };
}
