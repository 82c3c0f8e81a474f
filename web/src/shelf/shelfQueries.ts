import { queryOptions } from '@tanstack/react-query';
import type { ArticleDto, ShelfMonthDto } from '@yugator/contracts';
import { get } from '../api/request.js';

export const shelfQueries = {
  list: () =>
    queryOptions({
      queryKey: ['articles'],
      queryFn: ({ signal }) => get<ArticleDto[]>('/articles', signal),
      meta: { subjects: ['shelf', 'jobs'] },
    }),
  months: () =>
    queryOptions({
      queryKey: ['ledger', 'months'],
      queryFn: ({ signal }) => get<ShelfMonthDto[]>('/ledger/months', signal),
      meta: { subjects: ['shelf', 'jobs'] },
    }),
};
