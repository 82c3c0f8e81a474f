import Button from '@mui/material/Button';
import { canMaim } from '@yugator/core';
import type { SheetStep } from '@yugator/core';

interface Props {
  readonly step: SheetStep;
  readonly isDone: boolean;
  readonly isRead: boolean;
  readonly pending: boolean;
  readonly size: 'large' | 'medium';
  /** whether it is the next act on the screen */
  readonly isNext: boolean;
  readonly onDone: (isDone: boolean) => void;
}

/** Ticks a step off, or takes that back. */
export function StepAct({ step, isDone, isRead, pending, size, isNext, onDone }: Props) {
  if (isDone) {
    return (
      <Button size={size} onClick={() => onDone(false)} loading={pending}>
        Not done after all
      </Button>
    );
  }
  const mustRead = canMaim(step) && !isRead;
  return (
    <Button
      {...(isNext ? { variant: 'contained', color: 'primary' } : {})}
      size={size}
      disabled={mustRead}
      loading={pending}
      onClick={() => onDone(true)}
    >
      {mustRead ? 'Read it first' : 'Done'}
    </Button>
  );
}
