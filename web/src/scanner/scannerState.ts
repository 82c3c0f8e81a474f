import { useSyncExternalStore } from 'react';

/** Whether the scanner lies on the screen: it stays there from page to page. */
let isOpen = false;
const listeners = new Set<() => void>();

export function openScanner(open: boolean): void {
  isOpen = open;
  for (const tell of listeners) tell();
}

export function useScannerOpen(): boolean {
  return useSyncExternalStore(
    (tell) => {
      listeners.add(tell);
      return () => listeners.delete(tell);
    },
    () => isOpen,
  );
}
