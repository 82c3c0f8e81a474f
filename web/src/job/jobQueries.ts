import { queryOptions } from '@tanstack/react-query';
import type { JobDto, PrintedLabelDto, VisitDto } from '@yugator/contracts';
import { get } from '../api/request.js';

export const jobQueries = {
  one: (id: string) =>
    queryOptions({
      queryKey: ['jobs', id],
      queryFn: ({ signal }) => get<JobDto>(`/jobs/${id}`, signal),
      meta: { subjects: ['jobs', 'readings', 'machines', 'shelf'] },
    }),
  printed: () =>
    queryOptions({
      queryKey: ['label-printer'],
      queryFn: ({ signal }) => get<PrintedLabelDto[]>('/label-printer', signal),
      meta: { subjects: [] },
    }),
  visit: (machineId: string) =>
    queryOptions({
      queryKey: ['visits', machineId],
      // What is proposed is of this moment.
      gcTime: 0,
      queryFn: ({ signal }) => get<VisitDto>(`/machines/${machineId}/visit`, signal),
      meta: { subjects: ['jobs', 'readings', 'machines', 'shelf', 'site'] },
    }),
};
