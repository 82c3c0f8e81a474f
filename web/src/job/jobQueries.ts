import { queryOptions } from '@tanstack/react-query';
import type { JobDto } from '@yugator/contracts';
import { get } from '../api/request.js';

export const jobQueries = {
  one: (id: string) =>
    queryOptions({
      queryKey: ['jobs', id],
      queryFn: ({ signal }) => get<JobDto>(`/jobs/${id}`, signal),
      meta: { subjects: ['jobs', 'readings', 'machines', 'shelf'] },
    }),
};
