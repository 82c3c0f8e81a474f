import { queryOptions } from '@tanstack/react-query';
import type { WalkDto } from '@yugator/contracts';
import { get } from '../api/request.js';

export const walkQueries = {
  of: (machineId: string) =>
    queryOptions({
      queryKey: ['walk', machineId],
      queryFn: ({ signal }) => get<WalkDto>(`/machines/${machineId}/walk`, signal),
      meta: { subjects: ['machines', 'readings', 'jobs'] },
    }),
};
