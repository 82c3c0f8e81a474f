import { useQueryClient } from '@tanstack/react-query';
import type { Found, JobDto, JobProgressDto, UpdateStepDto } from '@yugator/contracts';
import { useRef, useState } from 'react';
import { ApiProblem } from '../api/problem.js';
import type { SheetStep } from '@yugator/core';
import { useKept } from '../outbox/useKept.js';
import { useSession } from '../session/useSession.js';
import { foundWords } from './foundWords.js';
import { jobQueries } from './jobQueries.js';
import { stepPath, untouched } from './keptStep.js';
import type { StepState } from './keptStep.js';
import { takeProgress } from './takeProgress.js';

/** A step as it stands, with nothing said of it while nobody touched it. */
export function stepOf(job: Pick<JobDto, 'steps'>, key: string): StepState {
  return job.steps.find((step) => step.key === key) ?? untouched(key);
}

type Change = Partial<Pick<UpdateStepDto, 'isDone' | 'isAcknowledged' | 'timer'>> & {
  readonly found?: Found;
};

interface Said {
  readonly change: Change;
  readonly version: number;
}

/** Cautions as they were just read, until the step is seen with the version that holds it. */
interface ReadAhead {
  readonly isAcknowledged: boolean;
  readonly until: number;
}

function changeWords({ isDone, isAcknowledged, timer }: Change): string[] {
  return [
    isAcknowledged ? 'Cautions read' : '',
    isDone === undefined ? '' : isDone ? 'Done' : 'Not done after all',
    timer === undefined ? '' : timer === 'start' ? 'Time begun' : 'Time forgotten',
  ].filter(Boolean);
}

/**
 * Says where a step stands; others on the same job see it at once, or when there is a signal again. What is said while something else of
 * the step is under way goes out after it, so that nobody has to wait with the next tap.
 */
export function useStep(job: JobDto, step: SheetStep) {
  const { key, text } = step;
  const { unitSystem } = useSession().site;
  const client = useQueryClient();
  const { queryKey } = jobQueries.one(job.id);
  const state = stepOf(job, key);
  const queue = useRef(Promise.resolve());
  const [isTicking, setTicking] = useState(false);
  // Cautions that were just read: the tick need not wait for the network, for it goes out after them.
  const [read, setRead] = useState<ReadAhead | null>(null);
  const wordsOf = (change: Change) => {
    const measured = change.found ? foundWords(step, change.found, unitSystem) : '';
    return [...changeWords(change), ...(measured ? [measured] : [])];
  };
  const { mutateAsync, error } = useKept<JobProgressDto, Said>(
    ({ change, version }) => ({
      method: 'PUT',
      path: stepPath(job.id, key),
      body: { ...change, version },
      typed: { title: `${job.machine.tag}: ${text}`, lines: wordsOf(change) },
    }),
    [],
  );
  /** Whether it was kept, and with which version of the step it is seen: 0 where it waits on the device. */
  const send = async (change: Change): Promise<{ isKept: boolean; seenWith: number }> => {
    // What was said a moment ago has moved the step on.
    const { version } = stepOf(client.getQueryData<JobDto>(queryKey) ?? job, key);
    try {
      const progress = await mutateAsync({ change, version });
      if (progress) await takeProgress(client, job.id, progress);
      // What the job takes from the shelf follows from what was poured.
      if (progress && change.found && change.found['pouredId'] !== state.found?.['pouredId'])
        void client.invalidateQueries({ queryKey });
      return { isKept: true, seenWith: progress?.steps.find((each) => each.key === key)?.version ?? 0 };
    } catch (refusal) {
      // The mutation shows it; how the step stands now is read anew.
      if (refusal instanceof ApiProblem && refusal.status === 409)
        await client.invalidateQueries({ queryKey });
      return { isKept: false, seenWith: 0 };
    }
  };
  const say = (change: Change, onDone?: () => void) => {
    const ticks = change.isDone !== undefined;
    const { isAcknowledged = null } = change;
    if (ticks) setTicking(true);
    if (isAcknowledged !== null) setRead({ isAcknowledged, until: Infinity });
    queue.current = queue.current.then(async () => {
      const { isKept, seenWith } = await send(change);
      if (ticks) setTicking(false);
      // It stands until the answer is seen: a step that closed for a moment would lose the tap.
      if (isAcknowledged !== null) setRead({ isAcknowledged, until: seenWith });
      if (isKept) onDone?.();
    });
  };
  return {
    state: {
      ...state,
      isAcknowledged: read && state.version < read.until ? read.isAcknowledged : state.isAcknowledged,
    },
    say,
    isPending: isTicking,
    error,
  };
}
