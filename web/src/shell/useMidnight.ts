import { useEffect, useRef } from 'react';

const CHECK_MS = 60_000;

/** Calls `onNewDay` when the device's date changes under a screen that stays open. */
export function useMidnight(onNewDay: () => void): void {
  const latest = useRef(onNewDay);
  useEffect(() => {
    latest.current = onNewDay;
  });
  useEffect(() => {
    let day = new Date().toDateString();
    const timer = setInterval(() => {
      const now = new Date().toDateString();
      if (now === day) return;
      day = now;
      latest.current();
    }, CHECK_MS);
    return () => clearInterval(timer);
  }, []);
}
