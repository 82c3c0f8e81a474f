import type { Found, JobDto } from '@yugator/contracts';
import { useEffect, useRef, useState } from 'react';
import { useStep } from './useStep.js';

const QUIET_MS = 700;

/** What a step found, kept as it is typed: a moment after the last change, and with whatever is said of the step next. */
export function useFound(job: JobDto, key: string) {
  const step = useStep(job, key);
  const { state, say } = step;
  const [typed, setTyped] = useState<Found | null>(null);
  const timer = useRef<ReturnType<typeof setTimeout> | null>(null);
  const found = typed ?? state.found ?? {};
  const stop = () => {
    if (timer.current) clearTimeout(timer.current);
    timer.current = null;
  };
  const last = useRef<() => void>(() => undefined);
  useEffect(() => {
    last.current = () => {
      if (timer.current && typed) say({ found: typed });
    };
  });
  // Whoever leaves a step before it was kept has typed it all the same.
  useEffect(
    () => () => {
      last.current();
      stop();
    },
    [],
  );
  return {
    ...step,
    found,
    change(next: Found) {
      setTyped(next);
      stop();
      timer.current = setTimeout(() => say({ found: next }), QUIET_MS);
    },
    say(change: Parameters<typeof say>[0], onDone?: () => void) {
      stop();
      say(typed ? { found: typed, ...change } : change, onDone);
    },
  };
}
