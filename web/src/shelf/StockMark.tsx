import type { StockState } from '@yugator/core';

export const STOCK_WORDS: Record<StockState, string> = {
  out: 'Out',
  low: 'Low',
  enough: 'Enough',
  none: 'None kept',
};

/** Stock as a jar: empty, a little, full. */
export function StockMark({ state }: { state: StockState }) {
  const colour = { out: 'var(--late)', low: 'var(--ripe)', enough: 'var(--fine)', none: 'var(--soft)' }[
    state
  ];
  const height = { out: 0, low: 4, enough: 11, none: 0 }[state];
  return (
    <svg width="16" height="20" viewBox="0 0 16 20" aria-hidden style={{ flex: 'none' }}>
      <rect x="3" y={17 - height} width="10" height={height} fill={colour} />
      <path d="M5 1h6v3l2 2v12H3V6l2-2z" fill="none" stroke={colour} strokeWidth="1.6" />
    </svg>
  );
}
