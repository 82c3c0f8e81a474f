import { queryOptions } from '@tanstack/react-query';
import type { MachineRefDto } from '@yugator/contracts';
import { get } from '../api/request.js';

export const fieldQueries = {
  ofTag: (tag: string) =>
    queryOptions({
      queryKey: ['codes', tag],
      queryFn: ({ signal }) => get<MachineRefDto>(`/codes/${encodeURIComponent(tag)}`, signal),
      meta: { subjects: ['machines'] },
    }),
};
