import { keepPreviousData, queryOptions } from '@tanstack/react-query';
import type { RecordPageDto } from '@yugator/contracts';
import { get } from '../api/request.js';

export interface RecordFilter {
  readonly machineId?: string;
  readonly search?: string;
  /** walks round the machines too */
  readonly withRounds?: boolean;
  readonly page: number;
}

export const recordQueries = {
  page: ({ machineId, search, withRounds = false, page }: RecordFilter) => {
    const query = new URLSearchParams({
      page: String(page),
      ...(machineId ? { machineId } : {}),
      ...(search ? { search } : {}),
      ...(withRounds ? { kinds: 'all' } : {}),
    });
    return queryOptions({
      queryKey: ['records', query.toString()],
      queryFn: ({ signal }) => get<RecordPageDto>(`/records?${query}`, signal),
      placeholderData: keepPreviousData,
      meta: { subjects: ['jobs'] },
    });
  },
};
