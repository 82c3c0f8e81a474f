import { MOVEMENT_KINDS } from '@yugator/core';
import type { MovementKind } from '@yugator/core';
import { IsIn, IsInt, IsNumber, IsOptional, Max, Min, ValidateIf } from 'class-validator';
import { IsCivilDay, IsInstant, IsMeterHours, IsText, Part, Parts } from '../rules/index.js';

const MOST_MINOR = 2_000_000_000;
const WHOLE_CENTS = 'Give it in whole cents.';
const WITHIN = 'Keep it within 20,000,000.';

/** What a movement took of a lot. */
export class FileTakeDto {
  /** which of the movements of the article it was taken of, from 0; null: more went out than was there */
  @ValidateIf((take: FileTakeDto) => take.lot !== null)
  @Min(0, { message: 'Say of which movement it was taken, from 0.' })
  @Max(19_999, { message: 'Say of which movement it was taken, from 0.' })
  @IsInt({ message: 'Say of which movement it was taken, from 0.' })
  lot!: number | null;

  @Min(0.001, { message: 'Give how much was taken, more than 0.' })
  @Max(100_000, { message: 'Keep how much was taken within 100,000.' })
  @IsNumber({ maxDecimalPlaces: 3 }, { message: 'Give how much was taken, as a number.' })
  quantity!: number;

  /** as the record says, in minor units */
  @Min(0, { message: 'It cannot have cost less than nothing.' })
  @Max(MOST_MINOR, { message: WITHIN })
  @IsInt({ message: WHOLE_CENTS })
  costMinor!: number;

  /** what the lot lost by it */
  @Min(0, { message: 'A lot cannot have lost less than nothing.' })
  @Max(MOST_MINOR, { message: WITHIN })
  @IsInt({ message: WHOLE_CENTS })
  lotMinor!: number;
}

/** The visit of a machine that drew or left something. */
export class FileVisitDto {
  /** its tag */
  @IsText({ least: 1, most: 20, message: 'Name the machine by its tag.' })
  machine!: string;

  @IsCivilDay({ message: 'Give the day as a date that exists, such as 2026-11-02.' })
  on!: string;

  @IsMeterHours()
  life!: number;
}

/** A change of stock that counts. */
export class FileMovementDto {
  @IsInstant({ message: 'Give the moment as 2027-05-13T17:10:00Z.' })
  at!: string;

  @IsIn(MOVEMENT_KINDS, { message: `Say what it was: ${MOVEMENT_KINDS.join(', ')}.` })
  kind!: MovementKind;

  /** in above 0, out below */
  @Min(-100_000, { message: 'Keep how much within 100,000.' })
  @Max(100_000, { message: 'Keep how much within 100,000.' })
  @IsNumber({ maxDecimalPlaces: 3 }, { message: 'Give how much, as a number.' })
  quantity!: number;

  /** what the worth of the shelf changed by */
  @Min(-MOST_MINOR, { message: WITHIN })
  @Max(MOST_MINOR, { message: WITHIN })
  @IsInt({ message: WHOLE_CENTS })
  valueMinor!: number;

  /** what one container or pack of it holds; null of what came in loose */
  @IsOptional()
  @Min(0.001, { message: 'Give what one container holds, more than 0, or null.' })
  @Max(10_000, { message: 'Keep what one container holds within 10,000.' })
  @IsNumber({ maxDecimalPlaces: 3 }, { message: 'Give what one container holds, as a number.' })
  container!: number | null;

  /** null where nobody said in which */
  @IsOptional()
  @IsText({ least: 1, most: 60, message: 'Name the shed with 1 to 60 letters, or null.' })
  shed!: string | null;

  /** '' where nobody is known */
  @IsText({ most: 80, message: 'Keep the name within 80 letters.' })
  by!: string;

  @IsText({ most: 200, message: 'Keep the note within 200 letters.' })
  note!: string;

  @ValidateIf((movement: FileMovementDto) => movement.visit !== null)
  @Part(() => FileVisitDto, 'Say for which visit it was, or null.')
  visit!: FileVisitDto | null;

  /** of what went out */
  @Parts(() => FileTakeDto, 1_000, 'A movement takes of 1,000 lots at most.')
  takes!: FileTakeDto[];
}
