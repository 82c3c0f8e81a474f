import type { Finding, Trigger } from '@yugator/core';
import { IsIn } from 'class-validator';

/** What the crew lead says to a proposal: take it over, not before there is new evidence, or ask again in a month. */
export const EVIDENCE_ANSWERS = ['accepted', 'refused', 'later'] as const;
export type EvidenceAnswer = (typeof EVIDENCE_ANSWERS)[number];

/** A check of an item that a job made. */
export class CheckDto {
  /** civil date */
  on!: string;
  life!: number;
  isGood!: boolean;
  /** what it found, with the limits of that day */
  findings!: Finding[];
}

/** A proposal to check an item more or less often, with the figures behind it. */
export class EvidenceDto {
  itemId!: string;
  itemName!: string;
  kind!: 'longer' | 'shorter';
  /** as it is now */
  present!: Trigger[];
  /** as it would be */
  triggers!: Trigger[];
  /** in order of time */
  checks!: CheckDto[];
}

export class AnswerEvidenceDto {
  @IsIn(EVIDENCE_ANSWERS, { message: 'Accept it, refuse it, or have it asked again later.' })
  answer!: EvidenceAnswer;
}
