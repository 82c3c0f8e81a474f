import { queryOptions } from '@tanstack/react-query';
import type { KnownLifeDto } from '@yugator/contracts';
import { get } from '../api/request.js';

export const paperQueries = {
  known: (machineId: string) =>
    queryOptions({
      queryKey: ['machines', machineId, 'paper-log'],
      queryFn: ({ signal }) => get<KnownLifeDto[]>(`/machines/${machineId}/paper-log`, signal),
      meta: { subjects: ['readings', 'jobs', 'machines'] },
    }),
};
