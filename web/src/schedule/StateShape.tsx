import type { DueState } from '@yugator/core';
import { STATE_COLOUR } from './stateWords.js';

/**
 * The shape of a state, its foot at (0, 0): overdue a square flag, ripe a filled pennant, coming an open one, fine a pin,
 * no record a dashed ring with a question mark, resting a lying bar. Goes inside an svg.
 */
export function StateShape({ state }: { state: DueState }) {
  const colour = STATE_COLOUR[state];
  const line = { stroke: colour, strokeWidth: 1.6 };
  switch (state) {
    case 'overdue':
      return (
        <g {...line} fill={colour}>
          <path d="M0 0v-22" />
          <path d="M0 -22h15v11h-15z" />
        </g>
      );
    case 'ripe':
      return (
        <g {...line} fill={colour}>
          <path d="M0 0v-22" />
          <path d="M0 -22l15 5.5l-15 5.5z" />
        </g>
      );
    case 'coming':
      return (
        <g {...line} fill="var(--sheet)">
          <path d="M0 0v-22" />
          <path d="M0 -22l15 5.5l-15 5.5z" />
        </g>
      );
    case 'noRecord':
      return (
        <g {...line} fill="var(--sheet)">
          <path d="M0 0v-22" strokeDasharray="2 2" />
          <circle cx="7" cy="-16" r="6.5" strokeDasharray="2.4 2" />
          <text
            x="7"
            y="-12.4"
            fontSize="10"
            fontWeight="700"
            textAnchor="middle"
            fill={colour}
            stroke="none"
          >
            ?
          </text>
        </g>
      );
    case 'fine':
      return (
        <g {...line} fill={colour}>
          <path d="M0 0v-14" />
          <circle cx="0" cy="-14" r="3" />
        </g>
      );
    case 'resting':
      return (
        <g {...line} fill={colour}>
          <rect x="-1" y="-9" width="15" height="5" />
        </g>
      );
  }
}

/** The shape of a state on its own, to stand before its word. */
export function StateMark({ state }: { state: DueState }) {
  return (
    <svg width="20" height="26" viewBox="-3 -24 20 26" aria-hidden style={{ flex: 'none' }}>
      <StateShape state={state} />
    </svg>
  );
}
