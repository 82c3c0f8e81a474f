import { useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { useSession } from '../session/useSession.js';
import { outbox } from './outbox.js';
import { sendNow } from './sendNow.js';
import { useOutbox } from './useOutbox.js';

const AGAIN_MS = 20_000;

/** Sends what waits: when the screens open, when the feed is back, when somebody looks, and now and then in between. */
export function useSending(connected: boolean): void {
  const client = useQueryClient();
  const { id } = useSession().person;
  const waiting = useOutbox().filter(({ refused }) => refused === null).length;
  useEffect(() => void outbox.read(), []);
  useEffect(() => {
    if (waiting === 0) return;
    const send = () => {
      if (document.visibilityState === 'hidden') return;
      void sendNow(client, id);
    };
    send();
    const again = setInterval(send, AGAIN_MS);
    window.addEventListener('online', send);
    document.addEventListener('visibilitychange', send);
    return () => {
      clearInterval(again);
      window.removeEventListener('online', send);
      document.removeEventListener('visibilitychange', send);
    };
  }, [client, id, waiting, connected]);
}
