import { queryOptions } from '@tanstack/react-query';
import type { JobDto, VisitDto } from '@yugator/contracts';
import { get } from '../api/request.js';

export const jobQueries = {
  one: (id: string) =>
    queryOptions({
      queryKey: ['jobs', id],
      queryFn: ({ signal }) => get<JobDto>(`/jobs/${id}`, signal),
      meta: { subjects: ['jobs', 'readings', 'machines', 'shelf'] },
    }),
  visit: (machineId: string) =>
    queryOptions({
      queryKey: ['visits', machineId],
      queryFn: ({ signal }) => get<VisitDto>(`/machines/${machineId}/visit`, signal),
      meta: { subjects: ['jobs', 'readings', 'machines', 'shelf', 'site'] },
    }),
};
