import type { Component, Finding, Outcome } from '@yugator/core';
import { IsIn, IsOptional } from 'class-validator';
import { PageQueryDto } from '../check/pageQuery.dto.js';
import { MachineRefDto, VoidedDto } from '../machine/machine.dto.js';
import { IsId, IsText } from '../rules/index.js';

export const RECORD_KINDS = ['visit', 'round', 'paper'] as const;
/** A visit with its sheet, everyday work without a job, or a service taken over from paper. */
export type RecordKind = (typeof RECORD_KINDS)[number];

/** A job signed off: the proof that it was done. */
export class RecordDto {
  jobId!: string;
  kind!: RecordKind;
  machine!: MachineRefDto;
  /** civil date */
  doneOn!: string;
  life!: number;
  shown!: number;
  doneBy!: string;
  /** who signed, where that was somebody else; null where it was the same */
  signedBy!: string | null;
  minutes!: number;
  items!: string[];
  /** defects that were mended, in their words */
  mended!: string[];
  /** items that were kept, deferred or found defective, and why */
  others!: RecordOtherDto[];
  /** what was measured and seen, each step once */
  findings!: Finding[];
  draws!: RecordDrawDto[];
  /** what was left of opened kits and went back on the shelf; its worth is taken off the parts */
  left!: RecordDrawDto[];
  /** parts and fluids, in minor units of the site's currency */
  partsCostMinor!: number;
  /** the minutes at the rate of that day; null where the crew had none */
  labourCostMinor!: number | null;
  /** both together */
  costMinor!: number;
  note!: string;
  /** why a fluid was used that does not suit the machine; '' where all suited */
  fluidReason!: string;
  /** of a walk-round: looks that were well, and what was put right on the spot */
  wellLooks!: string[];
  putRight!: PutRightDto[];
  /** what was filled up */
  topUps!: RecordTopUpDto[];
  voided!: VoidedDto | null;
}

/** Something that was put right on a walk-round. */
export class PutRightDto {
  /** the line or look, by the name of that day */
  name!: string;
  words!: string;
}

export class RecordTopUpDto {
  component!: Component;
  litres!: number;
  grade!: string;
}

export class RecordOtherDto {
  name!: string;
  outcome!: Outcome;
  note!: string;
}

export class RecordDrawDto {
  name!: string;
  unit!: 'piece' | 'litre';
  quantity!: number;
  costMinor!: number;
}

/** Records, latest first, a page at a time. */
export class RecordPageDto {
  records!: RecordDto[];
  /** all that match */
  total!: number;
}

export class RecordQueryDto extends PageQueryDto {
  @IsOptional()
  @IsId({ message: 'Choose the machine.' })
  machineId?: string;

  /** of visits alone, or of walks round the machines too */
  @IsOptional()
  @IsIn(['visits', 'all'], { message: 'Ask for visits, or for all.' })
  kinds?: 'visits' | 'all';

  /** words in the tag, name, items or note */
  @IsOptional()
  @IsText({ most: 100, message: 'Keep the search within 100 letters.' })
  search?: string;
}
