import { useQueryClient } from '@tanstack/react-query';
import { SUBJECTS } from '@yugator/contracts';
import type { Subject } from '@yugator/contracts';
import { useEffect, useState } from 'react';
import { makeStale } from './makeStale.js';

/**
 * Listens to what others change and makes it stale here. Returns false while the feed is cut: the browser connects again
 * by itself, and then everything is asked anew, since changes may have been missed.
 */
export function useLive(): boolean {
  const client = useQueryClient();
  const [connected, setConnected] = useState(true);
  useEffect(() => {
    let cut = false;
    const feed = new EventSource('/api/live');
    feed.addEventListener('changed', (event: MessageEvent<string>) => {
      const { subjects }: { subjects: Subject[] } = JSON.parse(event.data);
      void makeStale(client, subjects);
    });
    feed.addEventListener('open', () => {
      setConnected(true);
      if (cut) void makeStale(client, SUBJECTS);
      cut = false;
    });
    feed.addEventListener('error', () => {
      cut = true;
      setConnected(false);
    });
    return () => feed.close();
  }, [client]);
  return connected;
}
