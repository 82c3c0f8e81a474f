import { queryOptions } from '@tanstack/react-query';
import type { SeasonsDto } from '@yugator/contracts';
import { get } from '../api/request.js';

export const seasonQueries = {
  all: () =>
    queryOptions({
      queryKey: ['seasons'],
      queryFn: ({ signal }) => get<SeasonsDto>('/seasons', signal),
      meta: { subjects: ['seasons', 'machines'] },
    }),
};
