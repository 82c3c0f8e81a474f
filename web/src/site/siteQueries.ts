import { queryOptions } from '@tanstack/react-query';
import type { SiteSettingsDto, UnsettledDto, WorkshopDto } from '@yugator/contracts';
import { get } from '../api/request.js';

export const siteQueries = {
  settings: () =>
    queryOptions({
      queryKey: ['site'],
      queryFn: ({ signal }) => get<SiteSettingsDto>('/site', signal),
      meta: { subjects: ['site'] },
    }),
  unsettled: () =>
    queryOptions({
      queryKey: ['site', 'unsettled'],
      queryFn: ({ signal }) => get<UnsettledDto[]>('/unsettled-components', signal),
      meta: { subjects: ['books', 'machines'] },
    }),
  workshop: () =>
    queryOptions({
      queryKey: ['site', 'workshop'],
      queryFn: ({ signal }) => get<WorkshopDto>('/site/workshop', signal),
      meta: { subjects: ['site'] },
    }),
};
