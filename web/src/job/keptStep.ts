import type { JobDto, JobStepDto, UpdateStepDto } from '@yugator/contracts';
import type { Entry } from '../outbox/entry.js';

/** A step as it stands, with nothing said of it while nobody touched it. */
export type StepState = Omit<JobStepDto, 'by'> & { readonly by: string | null };

const STEP_PATH = /^\/jobs\/([^/]+)\/steps\/([^/]+)$/;

/** Where a step is written. */
export function stepPath(jobId: string, key: string): string {
  return `/jobs/${jobId}/steps/${encodeURIComponent(key)}`;
}

/** The job and the step that a write in the outbox speaks of; null where it is another kind of write. */
export function stepOfEntry({ path }: Pick<Entry, 'path'>): { jobId: string; key: string } | null {
  const [, jobId, key] = STEP_PATH.exec(path) ?? [];
  return jobId && key ? { jobId, key: decodeURIComponent(key) } : null;
}

export function untouched(key: string): StepState {
  return {
    key,
    isDone: false,
    isAcknowledged: false,
    startedAt: null,
    found: null,
    others: [],
    by: null,
    version: 0,
  };
}

/** A step with what is said of it. Its version stays that of the server, which has not heard it yet. */
function said<S extends StepState>(step: S, change: Partial<UpdateStepDto>, at: number): S {
  const { isDone = step.isDone, isAcknowledged = step.isAcknowledged, timer } = change;
  const found = change.found === undefined ? step.found : change.found;
  const startedAt =
    timer === 'start' ? new Date(at).toISOString() : timer === 'forget' ? null : step.startedAt;
  return { ...step, isDone, isAcknowledged, found, startedAt };
}

/** A job as its mechanic left it: with the ticks and figures that wait to be sent. */
export function withWaiting(job: JobDto, entries: readonly Entry[], name: string): JobDto {
  const own = entries.flatMap((entry) => {
    const of = entry.refused ? null : stepOfEntry(entry);
    return of?.jobId === job.id ? [{ key: of.key, entry }] : [];
  });
  if (own.length === 0) return job;
  const steps = new Map(job.steps.map((step) => [step.key, step]));
  for (const { key, entry } of own) {
    const before = steps.get(key) ?? { ...untouched(key), by: name };
    steps.set(key, said({ ...before, by: name }, entry.body as Partial<UpdateStepDto>, entry.at));
  }
  return { ...job, steps: [...steps.values()] };
}
