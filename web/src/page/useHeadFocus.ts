import { useEffect, useRef } from 'react';
import type { RefObject } from 'react';

/** Takes the reader to a head that has just appeared, also late on a slow network, unless they are busy elsewhere. */
export function useHeadFocus<T extends HTMLElement>(): RefObject<T | null> {
  const head = useRef<T>(null);
  useEffect(() => {
    if (document.activeElement === document.body) head.current?.focus({ preventScroll: true });
  }, []);
  return head;
}
