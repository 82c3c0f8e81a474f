import { keepPreviousData, queryOptions } from '@tanstack/react-query';
import type { DefectDto, DefectPageDto } from '@yugator/contracts';
import { get } from '../api/request.js';

/** What of the list is asked for; '' where anything will do. */
export interface DefectFilter {
  readonly state: 'open' | 'ended' | 'all';
  readonly severity: string;
  readonly machineId: string;
  readonly search: string;
  readonly isMine: boolean;
  readonly page: number;
}

function queryOf({ state, severity, machineId, search, isMine, page }: DefectFilter): string {
  const query = new URLSearchParams({ state, page: String(page) });
  if (severity) query.set('severity', severity);
  if (machineId) query.set('machineId', machineId);
  if (search) query.set('search', search);
  if (isMine) query.set('by', 'mine');
  return query.toString();
}

const meta = { subjects: ['jobs', 'machines'] } as const;

export const defectQueries = {
  of: (machineId: string) =>
    queryOptions({
      queryKey: ['machines', machineId, 'defects'],
      queryFn: ({ signal }) => get<DefectDto[]>(`/machines/${machineId}/defects`, signal),
      meta,
    }),
  list: (filter: DefectFilter) =>
    queryOptions({
      queryKey: ['defects', filter],
      queryFn: ({ signal }) => get<DefectPageDto>(`/defects?${queryOf(filter)}`, signal),
      placeholderData: keepPreviousData,
      meta,
    }),
};
