import { IsBoolean, IsIn, IsInt, IsNumber, IsOptional, Max, Min } from 'class-validator';
import type { MeterName, Trigger } from '@yugator/core';
import { DueLineDto } from '../schedule/due.dto.js';
import { LifeReadingDto } from '../meter/round.dto.js';
import { ParticipationDto } from '../season/season.dto.js';
import { COOLINGS, FUELS, MACHINE_CLASSES } from './machineClass.js';
import type { Cooling, Fuel, MachineClass, MachineStatus } from './machineClass.js';
import { OverrideDto, ShownAttachmentDto, StatusChangeDto } from './machineParts.dto.js';
import { BookItemDto } from '../books/book.dto.js';
import { SpecCardDto } from './specCard.dto.js';
import { AccessPhotoDto } from './accessPhoto.dto.js';
import { IsCivilDay, IsId, IsIds, IsMeterHours, IsText } from '../rules/index.js';

/** What a machine is, besides its books. */
export class MachineFactsDto {
  @IsText({
    least: 1,
    most: 12,
    message: 'Give the tag as it stands on the machine, 1 to 12 characters, such as M-07.',
  })
  tag!: string;

  @IsText({ least: 1, most: 60, message: 'Name the machine as the crew calls it, 1 to 60 letters.' })
  name!: string;

  @IsIn(MACHINE_CLASSES, { message: 'Choose riding mower, zero-turn, compact tractor or utility vehicle.' })
  machineClass!: MachineClass;

  @IsText({ most: 60, message: 'Keep the make within 60 letters.' })
  make!: string;

  @IsText({ most: 60, message: 'Keep the model within 60 letters.' })
  model!: string;

  @IsOptional()
  @IsText({ most: 60, message: 'Keep the serial number within 60 letters.' })
  serial?: string;

  @IsOptional()
  @Max(2200, { message: 'Give a year up to 2200.' })
  @Min(1900, { message: 'Give a year from 1900 on.' })
  @IsInt({ message: 'Give the year it was built as a whole number, such as 2024.' })
  modelYear?: number | null;

  @IsIn(FUELS, { message: 'Choose gasoline or diesel.' })
  fuel!: Fuel;

  @IsOptional()
  @IsIn(COOLINGS, { message: 'Choose air or liquid.' })
  cooling?: Cooling | null;

  @IsOptional()
  @Max(12, { message: 'Give 12 cylinders at most.' })
  @Min(1, { message: 'Give at least one cylinder.' })
  @IsInt({ message: 'Give the cylinders as a whole number, such as 2.' })
  cylinders?: number | null;

  /** kW */
  @IsOptional()
  @Max(500, { message: 'Give the engine power, such as 18 kW or 24 hp.' })
  @Min(0.1, { message: 'Give the engine power, such as 18 kW or 24 hp.' })
  @IsNumber({ maxDecimalPlaces: 6 }, { message: 'Give the engine power, such as 18 kW or 24 hp.' })
  enginePower?: number | null;

  @IsOptional()
  @IsCivilDay({ message: 'Give the end of the warranty as a date that exists, such as 2028-04-06.' })
  warrantyUntil?: string | null;

  @IsOptional()
  @IsMeterHours()
  warrantyHours?: number | null;

  @IsText({ least: 1, most: 60, message: 'Say in which shed it stands, 1 to 60 letters.' })
  shed!: string;

  @Min(0, { message: 'Give the place in the walk as 0 or more.' })
  @Max(9999, { message: 'Give the place in the walk as 9999 at most.' })
  @IsInt({ message: 'Give the place in the walk as a whole number.' })
  walkOrder!: number;

  @IsCivilDay({ message: 'Give the day it came into service as a date that exists, such as 2025-04-07.' })
  inServiceOn!: string;

  @IsMeterHours()
  inServiceHours!: number;

  @IsBoolean({ message: 'Say whether it came new.' })
  cameNew!: boolean;
}

/** What a machine is registered with. */
export class MachineFieldsDto extends MachineFactsDto {
  @IsIds({
    message: 'Choose service books from the list.',
    most: { count: 10, message: 'A machine follows 10 books at most.' },
    once: 'Each service book counts once.',
  })
  bookIds!: string[];
}

export class CreateMachineDto extends MachineFieldsDto {
  /** the machine whose spec card, seasons, attachments and departures from the book the new one starts with */
  @IsOptional()
  @IsId({ message: 'Choose the machine to copy.' })
  copyOfId?: string;
}

export class UpdateMachineDto extends MachineFieldsDto {
  @IsInt({ message: 'The version that the change is based on is missing.' })
  version!: number;
}

/** A machine by its plate. */
export class MachineRefDto {
  id!: string;
  tag!: string;
  name!: string;
}

/** Where a machine stands in its seasons. */
export class WorkingDto {
  kind!: 'unplanned' | 'working' | 'laidUp';
  /** civil date of the first day of rest; null while working, or where none was */
  since!: string | null;
  /** civil date: the last day of work, or the first after the rest; null where none is planned */
  until!: string | null;
}

/** A machine in the fleet list. */
export class MachineDto extends MachineRefDto {
  machineClass!: MachineClass;
  make!: string;
  model!: string;
  serial!: string;
  modelYear!: number | null;
  fuel!: Fuel;
  cooling!: Cooling | null;
  cylinders!: number | null;
  enginePower!: number | null;
  warrantyUntil!: string | null;
  warrantyHours!: number | null;
  shed!: string;
  walkOrder!: number;
  inServiceOn!: string;
  inServiceHours!: number;
  cameNew!: boolean;
  bookIds!: string[];
  participation!: ParticipationDto[];
  status!: MachineStatus;
  /** civil date; null while it never changed */
  statusSince!: string | null;
  working!: WorkingDto;
  version!: number;
  /** life hours at the last reading */
  life!: number;
  /** what the meter showed at the last reading */
  lastShown!: number | null;
  /** instant of the last reading, ISO 8601 UTC */
  lastReadAt!: string | null;
  /** hours a week at present; 0 while laid up, null while unknown */
  hoursPerWeek!: number | null;
  /** hours a week planned for the present; null without a plan */
  plannedPerWeek!: number | null;
  /** worst first */
  lines!: DueLineDto[];
}

/** Life hours that the machine is expected to have on a day: the scale of the tape. */
export class ExpectedHoursDto {
  /** civil date */
  on!: string;
  low!: number;
  expected!: number;
  high!: number;
}

/** What makes a line of a machine due. */
export class ItemRulesDto {
  itemId!: string;
  triggers!: Trigger[];
}

/** A machine with all that its page shows. */
export class MachineDetailDto extends MachineDto {
  /** path of its photo; null where there is none */
  photo!: string | null;
  /** of what has to be opened on it */
  accessPhotos!: AccessPhotoDto[];
  attachments!: ShownAttachmentDto[];
  overrides!: OverrideDto[];
  /** what only this machine has, besides its books */
  ownItems!: BookItemDto[];
  spec!: SpecCardDto;
  /** what makes each of its lines due, departures from its books included */
  rules!: ItemRulesDto[];
  /** the job that is open on it; null where none is */
  openJobId!: string | null;
  /** latest first */
  statusChanges!: StatusChangeDto[];
  /** week by week from the last reading on; empty while nothing is known */
  ahead!: ExpectedHoursDto[];
  /** life hours at readings of the last months, in order of time */
  behind!: { on: string; life: number }[];
}

/** A reading as the machine's page lists it. */
export class ReadingDto extends LifeReadingDto {
  id!: string;
  meter!: MeterName;
  source!: string;
  /** name of who entered it */
  enteredBy!: string | null;
  voided!: VoidedDto | null;
  /** path of the photo taken with it; null where there is none */
  photo!: string | null;
}

/** That and why a fact no longer counts. */
export class VoidedDto {
  /** instant, ISO 8601 UTC */
  at!: string;
  by!: string;
  reason!: string;
}

/** Takes a mistaken fact out of the reckoning; the history keeps it. */
export class VoidDto {
  @IsText({ least: 3, most: 200, message: 'Say in 3 to 200 letters why it does not count.' })
  reason!: string;
}

/** When an item was last done, from the record that was kept before Yugator. */
export class DeclareDto {
  @IsId({ message: 'Choose the item.' })
  itemId!: string;

  @IsCivilDay({ message: 'Give the day as a date that exists, such as 2026-05-12.' })
  doneOn!: string;

  @IsMeterHours()
  life!: number;

  @IsOptional()
  @IsText({ most: 200, message: 'Keep the note within 200 letters.' })
  note?: string;
}
