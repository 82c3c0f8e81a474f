import Button from '@mui/material/Button';
import type { WaitKind } from '@yugator/core';
import { useEffect, useState } from 'react';
import styles from './sheet.module.css';

const WAIT_WORDS: Record<WaitKind, string> = {
  warming: 'Warming up',
  cooling: 'Cooling down',
  draining: 'Draining',
  settling: 'Settling',
  drying: 'Drying',
  charging: 'Charging',
};

const MS_PER_MINUTE = 60_000;

function clock(ms: number): string {
  const seconds = Math.ceil(ms / 1000);
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
}

interface Props {
  readonly wait: WaitKind;
  readonly minutes: number;
  /** ISO 8601; null while it does not run */
  readonly startedAt: string | null;
  readonly onStart: (() => void) | null;
  readonly onForget: (() => void) | null;
}

/** What passes by itself. It began on the server's clock, so a reload forgets nothing. */
export function StepTimer({ wait, minutes, startedAt, onStart, onForget }: Props) {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    if (startedAt === null) return;
    const ticking = setInterval(() => setNow(Date.now()), 1000);
    return () => clearInterval(ticking);
  }, [startedAt]);
  const left = startedAt === null ? null : Date.parse(startedAt) + minutes * MS_PER_MINUTE - now;
  return (
    <div className={styles.timer} role="timer" aria-label={WAIT_WORDS[wait]}>
      <span>{WAIT_WORDS[wait]}</span>
      <span className="fig">{left === null ? `${minutes} min` : left > 0 ? clock(left) : 'over'}</span>
      {startedAt === null && onStart ? (
        <Button onClick={onStart} size="small">
          Start the time
        </Button>
      ) : null}
      {startedAt !== null && onForget ? (
        <Button onClick={onForget} size="small" variant="text">
          Forget it
        </Button>
      ) : null}
    </div>
  );
}
