/**
 * Why stock moved. `drawn`: used by a job or round, a kit opened among it; `left`: what a job did not use of a kit; `returned`: what
 * was used or lent came back; `moved`: taken to another shed, out of the one and into the other.
 */
export const MOVEMENT_KINDS = [
  'received',
  'drawn',
  'left',
  'counted',
  'returned',
  'scrapped',
  'lent',
  'moved',
] as const;
export type MovementKind = (typeof MOVEMENT_KINDS)[number];

/** What may be said at the shelf itself; the rest follows from jobs. */
export const STOCK_ACTS = [
  'received',
  'counted',
  'returned',
  'scrapped',
  'lent',
  'moved',
] as const satisfies MovementKind[];
export type StockAct = (typeof STOCK_ACTS)[number];

/** Acts by which stock goes out: to whom or why is to be said, and no more than is there. */
export function goesOut(act: StockAct): act is 'scrapped' | 'lent' {
  return act === 'scrapped' || act === 'lent';
}
