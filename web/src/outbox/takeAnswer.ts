import type { QueryClient } from '@tanstack/react-query';
import type { JobProgressDto } from '@yugator/contracts';
import { stepOfEntry } from '../job/keptStep.js';
import { takeProgress } from '../job/takeProgress.js';
import type { Entry } from './entry.js';

/** Shows what came of a write that waited: a step's answer says how its job stands, the rest is asked for anew. */
export async function takeAnswer(client: QueryClient, entry: Entry, answer: unknown): Promise<void> {
  const step = stepOfEntry(entry);
  if (step) await takeProgress(client, step.jobId, answer as JobProgressDto);
}
