import { METERS } from '@yugator/core';
import type { MeterName } from '@yugator/core';
import { IsBoolean, IsIn, IsOptional } from 'class-validator';
import { AtLeast, IsId, IsInstant, IsMeterHours, IsPhoto, Parts } from '../rules/index.js';

/** A meter reading and what it means. */
export class LifeReadingDto {
  /** instant, ISO 8601 UTC */
  at!: string;
  /** hours, as the meter shows */
  shown!: number;
  /** hours the machine has really run */
  life!: number;
}

/** A stretch of time with one meter: life = offset + shown. */
export class MeterSegmentDto {
  /** instant, ISO 8601 UTC */
  startsAt!: string;
  offset!: number;
}

/** A meter on the walk round the sheds: that of an engine, or an attachment's own. */
export class RoundMeterDto {
  /** of this machine and meter, as long as both are there */
  key!: string;
  machineId!: string;
  meter!: MeterName;
  tag!: string;
  /** of the machine, or of the attachment */
  name!: string;
  shed!: string;
  segments!: MeterSegmentDto[];
  /** the latest that count, in order of time */
  readings!: LifeReadingDto[];
  /** hours a week at present; 0 while laid up, null while unknown */
  hoursPerWeek!: number | null;
  /** what the meter is expected to show now; null while unknown */
  expectedShown!: number | null;
  /** life hours that a true reading exceeds in one of a hundred cases; null while unknown */
  mostLikelyLife!: number | null;
  /** days since the last reading, where it is stale */
  staleDays!: number | null;
}

/** The whole fleet in walking order. */
export class RoundDto {
  meters!: RoundMeterDto[];
}

export class RoundReadingDto {
  @IsId({ message: 'The machine is missing.' })
  machineId!: string;

  /** the engine's, where left out */
  @IsOptional()
  @IsIn(METERS, { message: 'Choose the engine or an attachment.' })
  meter?: MeterName;

  @IsMeterHours()
  shown!: number;

  /** the person looked again: an unusual reading is true */
  @IsOptional()
  @IsBoolean({ message: 'Say whether the reading was confirmed.' })
  confirmed?: boolean;

  /** what the meter showed, to look at again: a JPEG in base64 */
  @IsOptional()
  @IsPhoto()
  photo?: string;
}

/** Readings taken on one walk. All are kept, or none. */
export class EnterRoundDto {
  @AtLeast(1, 'Type at least one reading.')
  @Parts(() => RoundReadingDto, 2000, 'Send at most 2,000 readings at once.')
  readings!: RoundReadingDto[];

  /** when they were read, ISO 8601; now, where left out */
  @IsOptional()
  @IsInstant({ message: 'Give the time of the round as 2027-05-13T17:10:00Z.' })
  readAt?: string;
}

/** What a round came to. */
export class RoundResultDto {
  /** readings kept */
  kept!: number;
}
