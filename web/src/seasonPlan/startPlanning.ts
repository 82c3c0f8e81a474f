import type { PlannerInstance } from '@yugator/core';
import type { PlanSaid } from './planWorker.js';

/** Has a worker of its own plan; returns how it is ended at once. Its memory goes with it. */
export function startPlanning(instance: PlannerInstance, hear: (said: PlanSaid) => void): () => void {
  const worker = new Worker(new URL('./planWorker.ts', import.meta.url), { type: 'module' });
  worker.addEventListener('message', ({ data }: MessageEvent<PlanSaid>) => {
    if (data.kind !== 'better') worker.terminate();
    hear(data);
  });
  worker.addEventListener('error', () => hear({ kind: 'failed' }));
  worker.postMessage(instance);
  return () => worker.terminate();
}
