import type { DueState } from '@yugator/core';
import { STATE_COLOUR } from './stateWords.js';

/** A calendar limit on a tape: a round tag with a calendar leaf, filled when it bites. Its centre is (0, 0). */
export function CalendarTag({ state }: { state: DueState }) {
  const colour = STATE_COLOUR[state];
  const bites = state === 'overdue' || state === 'ripe';
  return (
    <g stroke={colour} strokeWidth="1.6" fill={bites ? colour : 'var(--sheet)'}>
      {state === 'overdue' ? <rect x="-7" y="-7" width="14" height="14" /> : <circle r="7" />}
      <path d="M-3 -1.5h6M-2 -4.5v2M2 -4.5v2" stroke={bites ? 'var(--sheet)' : colour} strokeWidth="1.3" />
    </g>
  );
}
