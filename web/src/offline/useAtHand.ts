import { useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { roundQueries } from '../round/roundQueries.js';
import { topUpQueries } from '../topUp/topUpQueries.js';
import { walkQueries } from '../walk/walkQueries.js';

/** Whoever looks at a machine may lose the signal before it: what its forms need is fetched beforehand. */
export function useAtHand(machineId: string): void {
  const client = useQueryClient();
  useEffect(() => {
    // What does not arrive is asked for again by the form itself.
    void client.prefetchQuery(walkQueries.of(machineId));
    void client.prefetchQuery(topUpQueries.of(machineId));
    void client.prefetchQuery(roundQueries.round());
  }, [client, machineId]);
}
