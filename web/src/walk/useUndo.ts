import { useQueryClient } from '@tanstack/react-query';
import type { JobDto } from '@yugator/contracts';
import { sentenceOf } from '../api/problem.js';
import { request } from '../api/request.js';
import { newKey } from '../api/write.js';
import { seeOwnChange } from '../live/makeStale.js';
import { useNotice } from '../page/Notice.js';

/** Says that something was kept, and offers to take its record back as long as that is said. */
export function useUndo(): (sentence: string, jobId: string) => void {
  const client = useQueryClient();
  const say = useNotice();
  const undo = async (jobId: string) => {
    try {
      await request<JobDto>('POST', `/records/${jobId}/undo`, { idempotencyKey: newKey() });
      say('Undone.');
    } catch (error) {
      say(sentenceOf(error));
    }
    await seeOwnChange(client, ['jobs', 'readings', 'machines', 'shelf']);
  };
  return (sentence, jobId) => say(sentence, { word: 'Undo', act: () => void undo(jobId) });
}
