/** A column of a printed maintenance chart. */
export type ChartColumn =
  | { readonly kind: 'hours'; readonly hours: number }
  | { readonly kind: 'calendar'; readonly count: number; readonly unit: 'day' | 'month' };

/** What a chart prints in a cell: once in running-in, or every time. */
export const CHART_MARKS = ['first', 'every'] as const;
export type ChartMark = (typeof CHART_MARKS)[number];
