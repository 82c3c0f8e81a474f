import { useQueryClient } from '@tanstack/react-query';
import { SUBJECTS } from '@yugator/contracts';
import type { Changes } from '@yugator/contracts';
import { useEffect, useState } from 'react';
import { noteConnected } from '../offline/connectedAt.js';
import { makeStale } from './makeStale.js';
import { seeJobMove } from './seeJobMove.js';

const NOTED_EVERY_MS = 60_000;

/**
 * Listens to what others change and makes it stale here. Returns false while the feed is cut: the browser connects again
 * by itself, and then everything is asked anew, since changes may have been missed.
 */
export function useLive(): boolean {
  const client = useQueryClient();
  const [connected, setConnected] = useState(true);
  useEffect(() => {
    // Before it is open nobody knows.
    let cut = true;
    let wasOpen = false;
    const feed = new EventSource('/api/live');
    feed.addEventListener('changed', (event: MessageEvent<string>) => {
      const { subjects, jobs }: Changes = JSON.parse(event.data);
      void makeStale(client, subjects);
      for (const move of jobs) seeJobMove(client, move);
    });
    const note = () => noteConnected(Date.now());
    const beat = setInterval(() => (cut ? undefined : note()), NOTED_EVERY_MS);
    feed.addEventListener('open', () => {
      setConnected(true);
      note();
      if (wasOpen) void makeStale(client, SUBJECTS);
      wasOpen = true;
      cut = false;
    });
    feed.addEventListener('error', () => {
      cut = true;
      setConnected(false);
    });
    return () => {
      clearInterval(beat);
      feed.close();
    };
  }, [client]);
  return connected;
}
