import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  ArrayUnique,
  IsBoolean,
  IsInt,
  IsNumber,
  IsOptional,
  IsString,
  Length,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator';
import { IsCivilDay } from '../civilDay.js';
import { MachineRefDto, VoidedDto } from '../machine/machine.dto.js';
import { IsMeterHours } from '../meterHours.js';
import { DueLineDto } from '../schedule/due.dto.js';
import { Trimmed } from '../trimmed.js';

const BASED_ON = 'The version that the change is based on is missing.';

export class OpenJobDto {
  @IsString({ message: 'Choose the machine.' })
  machineId!: string;

  @ArrayMinSize(1, { message: 'Choose at least one item.' })
  @ArrayMaxSize(100, { message: 'A job takes 100 items at most.' })
  @ArrayUnique({ message: 'Each item counts once.' })
  @IsString({ each: true, message: 'Choose items of the machine.' })
  itemIds!: string[];
}

export class TickDto {
  @IsBoolean({ message: 'Say whether the item is done.' })
  ticked!: boolean;

  @IsInt({ message: BASED_ON })
  version!: number;
}

/** An article and how much of it a job takes. */
export class DrawDto {
  @IsString({ message: 'Choose an article from the shelf.' })
  articleId!: string;

  @Min(0.001, { message: 'Type how much was used, more than 0, or take the line out.' })
  @Max(10_000, { message: 'Keep what was used within 10,000.' })
  @IsNumber({ maxDecimalPlaces: 3 }, { message: 'Type how much was used, as a number.' })
  quantity!: number;
}

export class SignOffDto {
  @IsCivilDay({ message: 'Give the day as a date that exists, such as 2027-05-13.' })
  doneOn!: string;

  /** what the meter showed */
  @IsMeterHours()
  shown!: number;

  @Length(1, 36, { message: 'Choose who did it.' })
  @IsString({ message: 'Choose who did it.' })
  doneById!: string;

  @Min(0, { message: 'Minutes cannot be below 0.' })
  @Max(6000, { message: 'Keep the minutes within 6,000.' })
  @IsInt({ message: 'Give the minutes as a whole number.' })
  minutes!: number;

  @ValidateNested({ each: true })
  @Type(() => DrawDto)
  @ArrayMaxSize(100, { message: 'A job draws 100 articles at most.' })
  @ArrayUnique((draw: DrawDto) => draw.articleId, { message: 'Each article counts once; add up its lines.' })
  draws!: DrawDto[];

  @IsOptional()
  @Trimmed()
  @MaxLength(1000, { message: 'Keep the note within 1,000 letters.' })
  note?: string;

  @IsInt({ message: BASED_ON })
  version!: number;
}

export class DropJobDto {
  @IsInt({ message: BASED_ON })
  version!: number;
}

export class JobItemDto {
  itemId!: string;
  name!: string;
  ticked!: boolean;
  version!: number;
  minutes!: number;
  /** how the item stands now; null once the machine no longer has it */
  due!: DueLineDto | null;
}

/** An article proposed for a job or drawn by it. */
export class JobDrawDto {
  articleId!: string;
  name!: string;
  unit!: 'piece' | 'litre';
  quantity!: number;
  onHand!: number;
  priceMinor!: number;
}

export const JOB_STATES = ['open', 'signedOff', 'dropped', 'voided'] as const;
export type JobState = (typeof JOB_STATES)[number];

/** One visit of one machine. */
export class JobDto {
  id!: string;
  machine!: MachineRefDto;
  state!: JobState;
  openedOn!: string;
  openedBy!: string;
  items!: JobItemDto[];
  /** what the items ticked so far take from the shelf */
  proposed!: JobDrawDto[];
  /** what the meter showed last, to start the sign-off from */
  lastShown!: number | null;
  version!: number;
  record!: RecordDto | null;
}

/** A job signed off: the proof that it was done. */
export class RecordDto {
  jobId!: string;
  machine!: MachineRefDto;
  /** civil date */
  doneOn!: string;
  life!: number;
  shown!: number;
  doneBy!: string;
  minutes!: number;
  items!: string[];
  draws!: RecordDrawDto[];
  /** in minor units of the site's currency */
  partsCostMinor!: number;
  note!: string;
  voided!: VoidedDto | null;
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

export class RecordQueryDto {
  @IsOptional()
  @IsString()
  machineId?: string;

  /** words in the tag, name, items or note */
  @IsOptional()
  @Trimmed()
  @MaxLength(100, { message: 'Keep the search within 100 letters.' })
  search?: string;

  @IsOptional()
  @Type(() => Number)
  @Min(1, { message: 'Pages count from 1.' })
  @Max(100_000, { message: 'There is no such page.' })
  @IsInt({ message: 'Give the page as a whole number.' })
  page?: number;
}
