import { instantOf } from '@yugator/core';
import type { Instant } from '@yugator/core';
import { useEffect, useState } from 'react';

const STEP_MS = 30_000;

/** The present moment, good to half a minute. */
export function useNow(): Instant {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), STEP_MS);
    return () => clearInterval(timer);
  }, []);
  return instantOf(now);
}
