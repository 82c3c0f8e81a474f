import { keepPreviousData, queryOptions } from '@tanstack/react-query';
import type { AuditPageDto, AuditQueryDto } from '@yugator/contracts';
import { get } from '../api/request.js';

/** A query as an address has it; what is empty is left out. */
export function queryText(query: AuditQueryDto): string {
  const given = Object.entries(query).filter(([, value]) => value !== undefined && value !== '');
  return new URLSearchParams(given.map(([name, value]) => [name, String(value)])).toString();
}

export const auditQueries = {
  page: (query: AuditQueryDto) =>
    queryOptions({
      queryKey: ['audit', query],
      queryFn: ({ signal }) => get<AuditPageDto>(`/audit?${queryText(query)}`, signal),
      placeholderData: keepPreviousData,
      meta: { subjects: ['people'] },
    }),
};
