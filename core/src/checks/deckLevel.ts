/** Heights of the blade tips above level ground, mm. */
export interface DeckHeights {
  readonly left: number;
  readonly right: number;
  readonly front: number;
  readonly rear: number;
}

export interface DeckVerdict {
  /** mm between left and right */
  readonly sideways: number;
  /** mm that the front stands lower than the rear; negative where it stands higher */
  readonly rake: number;
  readonly isLevelSideways: boolean;
  readonly isRaked: boolean;
}

/** Side to side within 3 mm, front 3 to 9 mm lower (common practice; the book's figure wins). */
export const SIDEWAYS_WITHIN_MM = 3;
export const RAKE_MM = { low: 3, high: 9 } as const;

/** Judges how a cutting deck hangs. */
export function judgeDeck({ left, right, front, rear }: DeckHeights): DeckVerdict {
  const sideways = Math.abs(left - right);
  const rake = rear - front;
  return {
    ...{ sideways, rake, isLevelSideways: sideways <= SIDEWAYS_WITHIN_MM },
    isRaked: rake >= RAKE_MM.low && rake <= RAKE_MM.high,
  };
}

/** A blade whose tips differ by more is bent (common practice: an eighth of an inch). */
export const TIP_DIFFERENCE_MM = 3.2;

/** Whether a blade is straight: its two tips at the same place, mm. */
export function isBladeStraight(firstTip: number, secondTip: number): boolean {
  return Math.abs(firstTip - secondTip) <= TIP_DIFFERENCE_MM;
}
