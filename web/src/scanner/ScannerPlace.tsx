import { lazy, Suspense } from 'react';
import { openScanner, useScannerOpen } from './scannerState.js';

const Scanner = lazy(async () => ({ default: (await import('./Scanner.js')).Scanner }));

/** Where the simulated scanner lies, once somebody took it out. */
export function ScannerPlace() {
  const isOpen = useScannerOpen();
  return isOpen ? (
    <Suspense fallback={null}>
      <Scanner onLeave={() => openScanner(false)} />
    </Suspense>
  ) : null;
}
