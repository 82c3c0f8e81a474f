import { queryOptions } from '@tanstack/react-query';
import { DAILY_WEEKS } from '@yugator/contracts';
import type {
  LoadAheadDto,
  PlanTroublesDto,
  PlanWeeks,
  SeasonPlanDto,
  WeeklyProposalDto,
  WorkshopDaysDto,
} from '@yugator/contracts';
import type { AnnualRule } from '@yugator/core';
import { get } from '../api/request.js';

export const planQueries = {
  plan: (weeks: PlanWeeks = DAILY_WEEKS) =>
    queryOptions({
      queryKey: ['season-plan', 'of', weeks],
      queryFn: ({ signal }) => get<SeasonPlanDto>(`/season-plan?weeks=${weeks}`, signal),
      meta: { subjects: ['plan', 'machines', 'readings', 'jobs', 'seasons', 'site', 'shelf'] },
    }),
  /** as if the house did its yearly service then */
  planUnder: (annual: AnnualRule) =>
    queryOptions({
      queryKey: ['season-plan', 'under', annual],
      queryFn: ({ signal }) =>
        get<SeasonPlanDto>(`/season-plan?weeks=${DAILY_WEEKS}&annual=${annual}`, signal),
      meta: { subjects: ['plan', 'machines', 'readings', 'jobs', 'seasons', 'site', 'shelf'] },
    }),
  weekly: () =>
    queryOptions({
      queryKey: ['season-plan', 'weekly'],
      queryFn: ({ signal }) => get<WeeklyProposalDto>('/season-plan/proposal', signal),
      meta: { subjects: ['plan'] },
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
