import { queryOptions } from '@tanstack/react-query';
import type { PersonDto } from '@yugator/contracts';
import { get } from '../api/request.js';

export const peopleQueries = {
  list: () =>
    queryOptions({
      queryKey: ['people'],
      queryFn: ({ signal }) => get<PersonDto[]>('/people', signal),
      meta: { subjects: ['people'] },
    }),
};
