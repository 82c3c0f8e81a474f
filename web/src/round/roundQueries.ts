import { queryOptions } from '@tanstack/react-query';
import type { RoundDto } from '@yugator/contracts';
import { get } from '../api/request.js';

export const roundQueries = {
  round: () =>
    queryOptions({
      queryKey: ['round'],
      queryFn: ({ signal }) => get<RoundDto>('/round', signal),
      meta: { subjects: ['machines', 'readings', 'jobs'] },
    }),
};
