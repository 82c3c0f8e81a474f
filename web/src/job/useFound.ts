import type { Found, JobDto } from '@yugator/contracts';
import type { SheetStep } from '@yugator/core';
import { useEffect, useRef, useState } from 'react';
import { useStep } from './useStep.js';

const QUIET_MS = 700;

/**
 * What a step found, kept as it is typed: a moment after the last change, and with whatever is said of the step next. Once it is
 * kept it is the server's: what somebody else says of the step later is shown, and not written over.
 */
export function useFound(job: JobDto, sheetStep: SheetStep) {
  const step = useStep(job, sheetStep);
  const { state, say } = step;
  const [typed, setTyped] = useState<Found | null>(null);
  const timer = useRef<ReturnType<typeof setTimeout> | null>(null);
  const found = typed ?? state.found ?? {};
  const stop = () => {
    if (timer.current) clearTimeout(timer.current);
    timer.current = null;
  };
  // What was typed while it was under way is still to be kept.
  const keep = (sent: Found, change: Parameters<typeof say>[0] = {}, onDone?: () => void) =>
    say({ found: sent, ...change }, () => {
      setTyped((now) => (now === sent ? null : now));
      onDone?.();
    });
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
      timer.current = setTimeout(() => keep(next), QUIET_MS);
    },
    say(change: Parameters<typeof say>[0], onDone?: () => void) {
      stop();
      if (typed) keep(typed, change, onDone);
      else say(change, onDone);
    },
  };
}
