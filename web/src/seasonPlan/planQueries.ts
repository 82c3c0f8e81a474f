import { queryOptions } from '@tanstack/react-query';
import type { LoadAheadDto, PlanTroublesDto, SeasonPlanDto, WorkshopDaysDto } from '@yugator/contracts';
import { get } from '../api/request.js';

export const planQueries = {
  plan: () =>
    queryOptions({
      queryKey: ['season-plan'],
      queryFn: ({ signal }) => get<SeasonPlanDto>('/season-plan?weeks=12', signal),
      meta: { subjects: ['plan', 'machines', 'readings', 'jobs', 'seasons', 'site', 'shelf'] },
    }),
  troubles: () =>
    queryOptions({
      queryKey: ['season-plan', 'troubles'],
      queryFn: ({ signal }) => get<PlanTroublesDto>('/season-plan/troubles', signal),
      meta: { subjects: ['plan', 'machines', 'readings', 'jobs', 'seasons', 'site', 'shelf'] },
    }),
  load: () =>
    queryOptions({
      queryKey: ['season-plan', 'load'],
      queryFn: ({ signal }) => get<LoadAheadDto>('/season-plan/load', signal),
      meta: { subjects: ['plan', 'machines', 'readings', 'jobs', 'seasons', 'site', 'shelf'] },
    }),
  days: () =>
    queryOptions({
      queryKey: ['workshop-days'],
      queryFn: ({ signal }) => get<WorkshopDaysDto>('/workshop-days', signal),
      meta: { subjects: ['plan'] },
    }),
};
