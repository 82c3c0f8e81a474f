import { queryOptions } from '@tanstack/react-query';
import type { TopUpsDto } from '@yugator/contracts';
import { get } from '../api/request.js';

export const topUpQueries = {
  of: (machineId: string) =>
    queryOptions({
      queryKey: ['machines', machineId, 'top-ups'],
      queryFn: ({ signal }) => get<TopUpsDto>(`/machines/${machineId}/top-ups`, signal),
      meta: { subjects: ['machines', 'jobs', 'readings'] },
    }),
};
