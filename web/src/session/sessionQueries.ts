import { queryOptions } from '@tanstack/react-query';
import type {
  CrewSessionDto,
  OpenSessionDto,
  SessionDto,
  ShedCodeDto,
  ShedDeviceDto,
  ShedDoorDto,
  WelcomeDto,
} from '@yugator/contracts';
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
  door: () =>
    queryOptions({
      queryKey: ['welcome', 'shed'],
      queryFn: ({ signal }) => get<ShedDoorDto>('/shed', signal),
      meta: { subjects: [] },
    }),
  shedDevices: () =>
    queryOptions({
      queryKey: ['sessions', 'shed-devices'],
      queryFn: ({ signal }) => get<ShedDeviceDto[]>('/shed-devices', signal),
      meta: { subjects: ['people'] },
    }),
  shedCode: () =>
    queryOptions({
      queryKey: ['sessions', 'shed-code'],
      queryFn: ({ signal }) => get<ShedCodeDto>('/session/shed-code', signal),
      meta: { subjects: ['people'] },
    }),
  welcome: () =>
    queryOptions({
      queryKey: ['welcome'],
      queryFn: ({ signal }) => get<WelcomeDto>('/welcome', signal),
      meta: { subjects: [] },
    }),
};
