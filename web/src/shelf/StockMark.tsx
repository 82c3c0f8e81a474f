import type { StockState } from '@yugator/core';

export const STOCK_WORDS: Record<StockState, string> = {
  beyond: 'Count it',
  out: 'Out',
  low: 'Low',
  enough: 'Enough',
  none: 'None kept',
};

const LOOKS: Record<StockState, readonly [colour: string, height: number]> = {
  beyond: ['var(--late)', 0],
  out: ['var(--late)', 0],
  low: ['var(--ripe)', 4],
  enough: ['var(--fine)', 11],
  none: ['var(--soft)', 0],
};

/** Stock as a jar: empty, a little, full; with a question in it where the book cannot be right. */
export function StockMark({ state }: { state: StockState }) {
  const [colour, height] = LOOKS[state];
  return (
    <svg width="16" height="20" viewBox="0 0 16 20" aria-hidden style={{ flex: 'none' }}>
      <rect x="3" y={17 - height} width="10" height={height} fill={colour} />
      <path d="M5 1h6v3l2 2v12H3V6l2-2z" fill="none" stroke={colour} strokeWidth="1.6" />
      {state === 'beyond' ? (
        <text x="8" y="15" textAnchor="middle" fontSize="10" fontWeight="700" fill={colour}>
          ?
        </text>
      ) : null}
    </svg>
  );
}
