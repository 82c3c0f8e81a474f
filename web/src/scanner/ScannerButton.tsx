import Button from '@mui/material/Button';
import { openScanner, useScannerOpen } from './scannerState.js';

/** Puts the simulated scanner on the screen, or takes it away. */
export function ScannerButton() {
  const isOpen = useScannerOpen();
  return (
    <Button variant="text" aria-pressed={isOpen} onClick={() => openScanner(!isOpen)}>
      Scanner
    </Button>
  );
}
