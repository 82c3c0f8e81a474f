import { queryOptions } from '@tanstack/react-query';
import type { BuyingFactsDto, OrderDto, PartsUsedDto, SupplierDto } from '@yugator/contracts';
import { get } from '../api/request.js';

export const buyingQueries = {
  facts: (weeks: number) =>
    queryOptions({
      queryKey: ['buying', weeks],
      queryFn: ({ signal }) => get<BuyingFactsDto>(`/buying?weeks=${weeks}`, signal),
      meta: { subjects: ['shelf', 'jobs', 'readings', 'machines', 'plan'] },
    }),
  partsUsed: (machineId: string) =>
    queryOptions({
      queryKey: ['machines', machineId, 'parts-used'],
      queryFn: ({ signal }) => get<PartsUsedDto>(`/machines/${machineId}/parts-used`, signal),
      meta: { subjects: ['shelf', 'jobs', 'readings', 'machines'] },
    }),
  suppliers: () =>
    queryOptions({
      queryKey: ['suppliers'],
      queryFn: ({ signal }) => get<SupplierDto[]>('/suppliers', signal),
      meta: { subjects: ['shelf'] },
    }),
  orders: () =>
    queryOptions({
      queryKey: ['orders'],
      queryFn: ({ signal }) => get<OrderDto[]>('/orders', signal),
      meta: { subjects: ['shelf'] },
    }),
};
