import { judgeRange, ROUNDING } from './range.js';

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

/** How a deck is to hang, mm. */
export interface DeckLimits {
  /** most between left and right */
  readonly sidewaysWithin: number;
  /** least and most that the front stands lower than the rear */
  readonly low: number;
  readonly high: number;
}

/** Side to side within 3 mm, front 3 to 9 mm lower: where the machine's card says nothing (common practice). */
export const USUAL_DECK: DeckLimits = { sidewaysWithin: 3, low: 3, high: 9 };

/** Judges how a cutting deck hangs. */
export function judgeDeck({ left, right, front, rear }: DeckHeights, limits: DeckLimits): DeckVerdict {
  const sideways = Math.abs(left - right);
  const rake = rear - front;
  return {
    sideways,
    rake,
    isLevelSideways: sideways <= limits.sidewaysWithin + ROUNDING,
    isRaked: judgeRange(rake, limits).kind === 'within',
  };
}

/** A blade whose tips differ by more is bent, where the machine's card says nothing (common practice: an eighth of an inch). */
export const USUAL_TIPS_WITHIN = 3.175;

/** Whether a blade is straight: its two tips measured at the same place, mm. */
export function isBladeStraight(firstTip: number, secondTip: number, within: number): boolean {
  return Math.abs(firstTip - secondTip) <= within + ROUNDING;
}
