import { queryOptions } from '@tanstack/react-query';
import type { TodayDto } from '@yugator/contracts';
import { get } from '../api/request.js';

export const todayQueries = {
  today: () =>
    queryOptions({
      queryKey: ['today'],
      queryFn: ({ signal }) => get<TodayDto>('/today', signal),
      meta: { subjects: ['machines', 'readings', 'jobs', 'shelf'] },
    }),
};
