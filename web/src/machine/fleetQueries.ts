import { queryOptions } from '@tanstack/react-query';
import type { BookDto, MachineDto, ReadingDto } from '@yugator/contracts';
import { get } from '../api/request.js';

export const fleetQueries = {
  list: () =>
    queryOptions({
      queryKey: ['machines'],
      queryFn: ({ signal }) => get<MachineDto[]>('/machines', signal),
      meta: { subjects: ['machines', 'readings', 'jobs'] },
    }),
  one: (id: string) =>
    queryOptions({
      queryKey: ['machines', id],
      queryFn: ({ signal }) => get<MachineDto>(`/machines/${id}`, signal),
      meta: { subjects: ['machines', 'readings', 'jobs'] },
    }),
  readings: (id: string) =>
    queryOptions({
      queryKey: ['machines', id, 'readings'],
      queryFn: ({ signal }) => get<ReadingDto[]>(`/machines/${id}/readings`, signal),
      meta: { subjects: ['readings', 'jobs'] },
    }),
  books: () =>
    queryOptions({
      queryKey: ['books'],
      queryFn: ({ signal }) => get<BookDto[]>('/books', signal),
      meta: { subjects: ['machines'] },
    }),
};
