import { queryOptions } from '@tanstack/react-query';
import type { BookDto, MachineDetailDto, MachineDto, ReadingDto } from '@yugator/contracts';
import { get } from '../api/request.js';

export const fleetQueries = {
  list: () =>
    queryOptions({
      queryKey: ['machines'],
      queryFn: ({ signal }) => get<MachineDto[]>('/machines', signal),
      meta: { subjects: ['machines', 'readings', 'jobs', 'seasons', 'site'] },
    }),
  one: (id: string) =>
    queryOptions({
      queryKey: ['machines', id],
      queryFn: ({ signal }) => get<MachineDetailDto>(`/machines/${id}`, signal),
      meta: { subjects: ['machines', 'readings', 'jobs', 'seasons', 'site'] },
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
      meta: { subjects: ['machines', 'books'] },
    }),
};
