import { queryOptions } from '@tanstack/react-query';
import type { DefectDto } from '@yugator/contracts';
import { get } from '../api/request.js';

export const defectQueries = {
  of: (machineId: string) =>
    queryOptions({
      queryKey: ['defects', machineId],
      queryFn: ({ signal }) => get<DefectDto[]>(`/machines/${machineId}/defects`, signal),
      meta: { subjects: ['jobs', 'machines'] },
    }),
};
