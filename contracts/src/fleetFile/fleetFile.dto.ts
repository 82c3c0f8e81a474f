import type { FleetFile, HoursGrid, JudgementKind, MeterName, Trigger } from '@yugator/core';
import { HOURS_GRIDS, JUDGEMENTS, METERS } from '@yugator/core';
import {
  Equals,
  IsBoolean,
  IsIn,
  IsNumber,
  IsOptional,
  IsTimeZone,
  Max,
  Min,
  ValidateIf,
} from 'class-validator';
import { BookFieldsDto, BookItemFieldsDto } from '../books/book.dto.js';
import { FileFitDto, FileShelfDto } from './fileShelf.dto.js';
import { FILE_VERSIONS } from './fileVersion.js';
import type { FileVersion } from './fileVersion.js';
import { MachineFactsDto } from '../machine/machine.dto.js';
import { MACHINE_STATUSES } from '../machine/machineClass.js';
import type { MachineStatus } from '../machine/machineClass.js';
import { AttachmentDto, OverrideFieldsDto } from '../machine/machineParts.dto.js';
import { SpecCardDto } from '../machine/specCard.dto.js';
import { SeasonYearDto } from '../season/season.dto.js';
import { IsCivilDay, IsInstant, IsMeterHours, IsText, IsTexts, Part, Parts } from '../rules/index.js';

const NAME = 'Name a line of a book that the machine follows.';

export class FileSiteDto {
  @IsTimeZone({ message: 'Give the time zone by its IANA name, such as Europe/London.' })
  timeZone!: string;

  @IsIn(HOURS_GRIDS, { message: 'Choose whether hours count since done or on the meter.' })
  hoursGrid!: HoursGrid;
}

export class FileSeasonDto {
  @IsText({ least: 1, most: 30, message: 'Name the season in 1 to 30 letters, such as Mowing.' })
  name!: string;

  @Parts(() => SeasonYearDto, 50, 'Keep 50 years at most.')
  years!: SeasonYearDto[];
}

export class FilePartDto {
  @IsText({ least: 1, most: 30, message: 'Name the season.' })
  season!: string;

  @Max(168, { message: 'A week has 168 hours.' })
  @Min(0, { message: 'Hours a week cannot be less than 0.' })
  @IsNumber({ maxDecimalPlaces: 2 }, { message: 'Give the planned hours a week as a number, such as 8.' })
  hoursPerWeek!: number;
}

export class FileSegmentDto {
  @IsInstant({ message: 'Give the moment as 2027-05-13T17:10:00Z.' })
  startsAt!: string;

  @IsNumber({ maxDecimalPlaces: 2 }, { message: 'Give the hours to add as a number.' })
  offset!: number;
}

export class FileReadingDto {
  @IsInstant({ message: 'Give the moment as 2027-05-13T17:10:00Z.' })
  at!: string;

  @IsMeterHours()
  shown!: number;
}

/** An attachment; one with a meter of its own brings what that said. */
export class FileAttachmentDto extends AttachmentDto {
  @IsOptional()
  @Parts(() => FileSegmentDto, 100, 'Keep 100 meters at most.')
  segments?: FileSegmentDto[];

  @IsOptional()
  @Parts(() => FileReadingDto, 20_000, 'Keep 20,000 readings at most.')
  readings?: FileReadingDto[];
}

export class FilePointDto {
  /** empty for what only this machine has */
  @IsText({ most: 80, message: NAME })
  book!: string;

  @IsText({ least: 1, most: 80, message: NAME })
  item!: string;

  @IsCivilDay({ message: 'Give the day as a date that exists, such as 2026-05-12.' })
  on!: string;

  @IsMeterHours()
  life!: number;
}

/** A line that was looked at and kept, put off, or checked clean with the next check left out, and until when. */
export class FileJudgementDto extends FilePointDto {
  @IsIn(JUDGEMENTS, { message: 'Say whether it was kept, deferred, or the next one left out.' })
  kind!: JudgementKind;

  @ValidateIf((judgement: FileJudgementDto) => judgement.untilLife !== null)
  @IsMeterHours()
  untilLife!: number | null;

  /** the meter of those hours; left out or null for the engine's */
  @IsOptional()
  @IsIn(METERS, { message: 'Choose the meter: engine, loader, deck, blower or blade.' })
  meter?: MeterName | null;

  @ValidateIf((judgement: FileJudgementDto) => judgement.untilOn !== null || judgement.untilLife === null)
  @IsCivilDay({ message: 'Give the hours or the day until which it holds, the day such as 2027-07-01.' })
  untilOn!: string | null;
}

export class FileOverrideDto extends OverrideFieldsDto {
  /** empty for what only this machine has */
  @IsText({ most: 80, message: NAME })
  book!: string;

  @IsText({ least: 1, most: 80, message: NAME })
  item!: string;

  declare triggers: Trigger[] | null;
}

export class FileMachineDto extends MachineFactsDto {
  @IsIn(MACHINE_STATUSES, { message: 'Choose in service, laid up, out of service or retired.' })
  status!: MachineStatus;

  @IsOptional()
  @IsCivilDay({ message: 'Give the day as a date that exists, such as 2026-11-02.' })
  statusSince?: string | null;

  @IsTexts({
    most: { count: 10, message: 'A machine follows 10 books at most.' },
    longest: 80,
    message: 'Name the books.',
  })
  books!: string[];

  /** what only this machine has */
  @IsOptional()
  @Parts(() => BookItemFieldsDto, 200, 'Keep 200 items of its own at most.')
  items?: BookItemFieldsDto[];

  @Parts(() => FilePartDto, 20, 'A machine takes part in 20 seasons at most.')
  seasons!: FilePartDto[];

  @Parts(() => FileAttachmentDto, 4, 'A machine has one attachment of each kind at most.')
  attachments!: FileAttachmentDto[];

  @Parts(() => FileOverrideDto, 200, 'Keep 200 departures at most.')
  overrides!: FileOverrideDto[];

  @ValidateIf((machine: FileMachineDto) => (machine.spec ?? null) !== null)
  @Part(() => SpecCardDto, 'Give the spec card with all its parts, or leave it out.')
  spec?: SpecCardDto | null;

  @Parts(() => FileSegmentDto, 100, 'Keep 100 meters at most.')
  segments!: FileSegmentDto[];

  @Parts(() => FileReadingDto, 20_000, 'Keep 20,000 readings at most.')
  readings!: FileReadingDto[];

  @Parts(() => FilePointDto, 20_000, 'Keep 20,000 services at most.')
  done!: FilePointDto[];

  @Parts(() => FilePointDto, 2_000, 'Keep 2,000 declarations at most.')
  declared!: FilePointDto[];

  /** what was looked at and kept, or put off */
  @IsOptional()
  @Parts(() => FileJudgementDto, 2_000, 'Keep 2,000 judgements at most.')
  judged?: FileJudgementDto[];

  /** which articles it takes, by their names */
  @IsOptional()
  @Parts(() => FileFitDto, 200, 'Keep 200 articles that fit at most.')
  fits?: FileFitDto[];
}

/** A fleet as it is exported and imported: names in place of ids, times in UTC, quantities in SI units. */
export class FleetFileDto implements FleetFile {
  @Equals('yugator-fleet', { message: 'This is no fleet file: its format must be "yugator-fleet".' })
  format!: 'yugator-fleet';

  @IsIn(FILE_VERSIONS, { message: 'This file is of another version. This Yugator reads versions 1 and 2.' })
  version!: FileVersion;

  @Part(() => FileSiteDto, 'Say how the site counts: its time zone and its grid of hours.')
  site!: FileSiteDto;

  @Parts(() => FileSeasonDto, 20, 'Keep 20 seasons at most.')
  seasons!: FileSeasonDto[];

  @Parts(() => BookFieldsDto, 200, 'Keep 200 books at most.')
  books!: BookFieldsDto[];

  @Parts(() => FileMachineDto, 2000, 'Keep 2,000 machines at most.')
  machines!: FileMachineDto[];

  @IsOptional()
  @Part(() => FileShelfDto, 'Give the shelf with its articles and suppliers, or leave it out.')
  shelf?: FileShelfDto | null;
}

/** Whether a file could be taken in, and what it holds. */
export class ImportResultDto {
  machines!: number;
  books!: number;
  seasons!: number;
  readings!: number;
  /** new ones; what is here already counts as it is here */
  articles!: number;
  suppliers!: number;
  /** false for a trial: nothing was written */
  written!: boolean;
}

export class ImportFleetDto {
  @Part(() => FleetFileDto, 'Send the fleet file.')
  file!: FleetFileDto;

  /** only says what would happen */
  @IsBoolean({ message: 'Say whether this is only a trial.' })
  isTrial!: boolean;
}
