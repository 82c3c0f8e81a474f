import { queryOptions } from '@tanstack/react-query';
import type { CrewSessionDto, OpenSessionDto, SessionDto, WelcomeDto } from '@yugator/contracts';
import { get } from '../api/request.js';

export const sessionQueries = {
  current: () =>
    queryOptions({
      queryKey: ['session'],
      queryFn: ({ signal }) => get<SessionDto>('/session', signal),
      meta: { subjects: ['people', 'site'] },
    }),
  all: () =>
    queryOptions({
      queryKey: ['sessions'],
      queryFn: ({ signal }) => get<OpenSessionDto[]>('/session/all', signal),
      meta: { subjects: ['people'] },
    }),
  ofCrew: () =>
    queryOptions({
      queryKey: ['sessions', 'crew'],
      queryFn: ({ signal }) => get<CrewSessionDto[]>('/sessions', signal),
      meta: { subjects: ['people'] },
    }),
  welcome: () =>
    queryOptions({
      queryKey: ['welcome'],
      queryFn: ({ signal }) => get<WelcomeDto>('/welcome', signal),
      meta: { subjects: [] },
    }),
};
