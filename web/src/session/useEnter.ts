import { useQueryClient } from '@tanstack/react-query';
import type { SessionDto } from '@yugator/contracts';
import { useLocation, useNavigate } from 'react-router';
import { sessionQueries } from './sessionQueries.js';

/** Goes in with a new session, to where the person was heading. */
export function useEnter(): (session: SessionDto) => void {
  const client = useQueryClient();
  const navigate = useNavigate();
  const state: unknown = useLocation().state;
  const from = typeof state === 'object' && state !== null && 'from' in state ? String(state.from) : '/';
  return (session) => {
    client.clear();
    client.setQueryData(sessionQueries.current().queryKey, session);
    void navigate(from, { replace: true });
  };
}
