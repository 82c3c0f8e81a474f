/** A change of an article's stock. Voided movements are left out by the caller. */
export interface StockMovement {
  /** positive in, negative out; pieces or litres as the article is counted */
  readonly quantity: number;
}

/** Stock to the thousandth (millilitres): hides binary fractions. Nothing has no sign. */
export function roundQuantity(quantity: number): number {
  return Math.round(quantity * 1000) / 1000 + 0;
}

/** What is on hand after all `movements`. Negative where more was drawn than was ever booked in. */
export function onHand(movements: readonly StockMovement[]): number {
  return roundQuantity(movements.reduce((sum, movement) => sum + movement.quantity, 0));
}

/** The movement that brings the book from `booked` to what was `counted` on the shelf. */
export function countCorrection(booked: number, counted: number): number {
  return roundQuantity(counted - booked);
}

/**
 * How an article stands against the stock it should not fall below; `none`: there is none, and none is wanted; `beyond`: more went out
 * than was ever booked in, so that the book is wrong and the shelf is to be counted.
 */
export type StockState = 'beyond' | 'out' | 'low' | 'enough' | 'none';

/** Whether somebody is to see to an article: buy it, or count it. */
export function isShort(state: StockState): boolean {
  return state === 'beyond' || state === 'out' || state === 'low';
}

/** Whether somebody else drew what was there (`seen`) when this draw was written down: it is told before it is booked. */
export function isDrawnMeanwhile(quantity: number, seen: number, onHand: number): boolean {
  return quantity <= seen && quantity > onHand;
}

export function stockState(quantity: number, leastOnHand: number): StockState {
  if (quantity < 0) return 'beyond';
  if (quantity === 0) return leastOnHand === 0 ? 'none' : 'out';
  return quantity < leastOnHand ? 'low' : 'enough';
}
