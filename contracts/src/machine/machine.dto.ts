import {
  ArrayMaxSize,
  ArrayUnique,
  IsBoolean,
  IsIn,
  IsInt,
  IsOptional,
  IsString,
  Length,
  Max,
  MaxLength,
  Min,
} from 'class-validator';
import { IsCivilDay } from '../civilDay.js';
import { IsMeterHours } from '../meterHours.js';
import { DueLineDto } from '../schedule/due.dto.js';
import { LifeReadingDto } from '../meter/round.dto.js';
import { Trimmed } from '../trimmed.js';
import { FUELS, MACHINE_CLASSES } from './machineClass.js';
import type { Fuel, MachineClass } from './machineClass.js';

/** What a machine is registered with. */
export class MachineFieldsDto {
  @Trimmed()
  @Length(1, 12, { message: 'Give the tag as it stands on the machine, 1 to 12 characters, such as M-07.' })
  tag!: string;

  @Trimmed()
  @Length(1, 60, { message: 'Name the machine as the crew calls it, 1 to 60 letters.' })
  name!: string;

  @IsIn(MACHINE_CLASSES, { message: 'Choose riding mower, zero-turn, compact tractor or utility vehicle.' })
  machineClass!: MachineClass;

  @Trimmed()
  @MaxLength(60, { message: 'Keep the make within 60 letters.' })
  make!: string;

  @Trimmed()
  @MaxLength(60, { message: 'Keep the model within 60 letters.' })
  model!: string;

  @IsIn(FUELS, { message: 'Choose gasoline or diesel.' })
  fuel!: Fuel;

  @Trimmed()
  @Length(1, 60, { message: 'Say in which shed it stands, 1 to 60 letters.' })
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

  @ArrayUnique({ message: 'Each service book counts once.' })
  @ArrayMaxSize(10, { message: 'A machine follows 10 books at most.' })
  @IsString({ each: true, message: 'Choose service books from the list.' })
  bookIds!: string[];
}

export class CreateMachineDto extends MachineFieldsDto {}

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

/** A machine in the fleet list. */
export class MachineDto extends MachineRefDto {
  machineClass!: MachineClass;
  make!: string;
  model!: string;
  fuel!: Fuel;
  shed!: string;
  walkOrder!: number;
  inServiceOn!: string;
  inServiceHours!: number;
  cameNew!: boolean;
  bookIds!: string[];
  version!: number;
  /** life hours at the last reading */
  life!: number;
  /** what the meter showed at the last reading */
  lastShown!: number | null;
  /** instant of the last reading, ISO 8601 UTC */
  lastReadAt!: string | null;
  /** hours a week at present; null while unknown */
  hoursPerWeek!: number | null;
  /** worst first */
  lines!: DueLineDto[];
}

/** A reading as the machine's page lists it. */
export class ReadingDto extends LifeReadingDto {
  id!: string;
  source!: string;
  /** name of who entered it */
  enteredBy!: string | null;
  voided!: VoidedDto | null;
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
  @Trimmed()
  @Length(3, 200, { message: 'Say in 3 to 200 letters why it does not count.' })
  reason!: string;
}

/** When an item was last done, from the record that was kept before Yugator. */
export class DeclareDto {
  @IsString({ message: 'Choose the item.' })
  itemId!: string;

  @IsCivilDay({ message: 'Give the day as a date that exists, such as 2026-05-12.' })
  doneOn!: string;

  @IsMeterHours()
  life!: number;

  @IsOptional()
  @Trimmed()
  @MaxLength(200, { message: 'Keep the note within 200 letters.' })
  note?: string;
}
