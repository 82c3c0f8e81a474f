import { queryOptions } from '@tanstack/react-query';
import type {
  BookDto,
  FitsDto,
  FleetLineDto,
  MachineDetailDto,
  MachineDto,
  MilestoneDto,
  WeekOfUseDto,
  ReadingDto,
} from '@yugator/contracts';
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
  milestones: (id: string) =>
    queryOptions({
      queryKey: ['machines', id, 'milestones'],
      queryFn: ({ signal }) => get<MilestoneDto[]>(`/machines/${id}/milestones`, signal),
      meta: { subjects: ['machines', 'books'] },
    }),
  fits: (id: string) =>
    queryOptions({
      queryKey: ['machines', id, 'fits'],
      queryFn: ({ signal }) => get<FitsDto>(`/machines/${id}/fits`, signal),
      meta: { subjects: ['machines', 'shelf', 'jobs'] },
    }),
  use: (id: string) =>
    queryOptions({
      queryKey: ['machines', id, 'use'],
      queryFn: ({ signal }) => get<WeekOfUseDto[]>(`/machines/${id}/use`, signal),
      meta: { subjects: ['machines', 'readings', 'jobs', 'seasons'] },
    }),
  schedule: () =>
    queryOptions({
      queryKey: ['schedule'],
      queryFn: ({ signal }) => get<FleetLineDto[]>('/schedule', signal),
      meta: { subjects: ['machines', 'readings', 'jobs', 'seasons', 'site', 'books'] },
    }),
  books: () =>
    queryOptions({
      queryKey: ['books'],
      queryFn: ({ signal }) => get<BookDto[]>('/books', signal),
      meta: { subjects: ['machines', 'books'] },
    }),
};
