import { queryOptions } from '@tanstack/react-query';
import type { ArticleDto, PricePaidDto, ShedsDto, ShelfMonthDto } from '@yugator/contracts';
import { get } from '../api/request.js';

export const shelfQueries = {
  list: () =>
    queryOptions({
      queryKey: ['articles'],
      queryFn: ({ signal }) => get<ArticleDto[]>('/articles', signal),
      meta: { subjects: ['shelf', 'jobs'] },
    }),
  sheds: () =>
    queryOptions({
      queryKey: ['sheds'],
      queryFn: ({ signal }) => get<ShedsDto>('/stock-sheds', signal),
      meta: { subjects: ['shelf', 'machines'] },
    }),
  prices: (id: string) =>
    queryOptions({
      queryKey: ['ledger', 'prices', id],
      queryFn: ({ signal }) => get<PricePaidDto[]>(`/ledger/prices/${id}`, signal),
      meta: { subjects: ['shelf'] },
    }),
  months: () =>
    queryOptions({
      queryKey: ['ledger', 'months'],
      queryFn: ({ signal }) => get<ShelfMonthDto[]>('/ledger/months', signal),
      meta: { subjects: ['shelf', 'jobs'] },
    }),
};
