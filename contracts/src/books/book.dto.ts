import type { Action, Component, Consequence, MeterName, Trigger, WorkPlace } from '@yugator/core';
import { ACTIONS, CONSEQUENCES, METERS, WORK_PLACES } from '@yugator/core';
import { IsIn, IsInt, IsOptional, Max, Min, ValidateIf } from 'class-validator';
import { MACHINE_CLASSES } from '../machine/machineClass.js';
import type { MachineClass } from '../machine/machineClass.js';
import { IsTriggers } from '../schedule/triggers.js';
import { IsWindowDays, IsWindowHours } from '../schedule/window.js';
import { AreComponents, IsId, IsText, IsTexts, Parts } from '../rules/index.js';

/** What a line says besides its chart: what doing it renews, where it stands in the book, when it is ripe, what lateness costs. */
export class LineRulesDto {
  /** names of other lines that doing this one renews */
  @IsTexts({
    most: { count: 20, message: 'A line renews 20 others at most.' },
    longest: 80,
    message: 'Choose lines of this book.',
  })
  renews!: string[];

  @IsText({ most: 80, message: 'Keep the reference within 80 letters, such as engine book, p. 31.' })
  reference!: string;

  @IsText({ most: 300, message: 'Keep the note within 300 letters.' })
  note!: string;

  @IsWindowHours()
  windowHours!: number | null;

  @IsWindowDays()
  windowDays!: number | null;

  /** what lateness costs; left out or null as its action and component have it */
  @IsOptional()
  @IsIn(CONSEQUENCES, { message: 'Choose what lateness costs: ruin, wear or care.' })
  consequence?: Consequence | null;

  /** where it is done; left out or null as is usual for how often it comes and how long it takes */
  @IsOptional()
  @IsIn(WORK_PLACES, { message: 'Choose whether it is done on the walk-round or in a visit.' })
  doneIn?: WorkPlace | null;
}

/** A line of a book: an action on one or more components, and what makes it due. */
export class BookItemFieldsDto extends LineRulesDto {
  /** left out for a new line */
  @IsOptional()
  @IsId({ message: 'The line is missing.' })
  id?: string;

  @IsText({ least: 1, most: 80, message: 'Name the line as the shop says it, 1 to 80 letters.' })
  name!: string;

  @IsIn(ACTIONS, {
    message: 'Choose what is done: replace, clean, inspect, grease, sharpen, adjust, tighten or charge.',
  })
  action!: Action;

  /** what it is done to; left out or empty in a line of an older version, which says it in words instead */
  @IsOptional()
  @AreComponents()
  components?: Component[];

  /** the free words of an older version; they count only while no components are given */
  @ValidateIf((line: BookItemFieldsDto) => !line.components?.length)
  @IsText({ least: 1, most: 60, message: 'Choose what it is done to, such as engine oil.' })
  component?: string;

  /** inside a book, an every-n-th rule names the other line by its name */
  @IsTriggers()
  triggers!: Trigger[];

  @Max(1440, { message: 'Give 1,440 minutes at most.' })
  @Min(0, { message: 'Minutes cannot be less than 0.' })
  @IsInt({ message: 'Give the minutes as a whole number, such as 30.' })
  minutes!: number;
}

export class BookFieldsDto {
  @IsText({ least: 1, most: 80, message: 'Name the book in 1 to 80 letters, such as Quillon riding mower.' })
  name!: string;

  @IsIn(MACHINE_CLASSES, { message: 'Choose riding mower, zero-turn, compact tractor or utility vehicle.' })
  machineClass!: MachineClass;

  /** the meter that the columns of its chart count */
  @IsIn(METERS, { message: 'Choose the meter: engine, loader, deck, blower or blade.' })
  meter!: MeterName;

  @Parts(() => BookItemFieldsDto, 200, 'A book has 200 lines at most.')
  items!: BookItemFieldsDto[];
}

export class CreateBookDto extends BookFieldsDto {}

export class UpdateBookDto extends BookFieldsDto {
  @IsInt({ message: 'The version that the change is based on is missing.' })
  version!: number;
}

export class BookItemDto extends BookItemFieldsDto {
  declare id: string;
}

/** A maker's maintenance chart. */
export class BookDto extends BookFieldsDto {
  id!: string;
  declare items: BookItemDto[];
  version!: number;
  /** tags of the machines that follow it */
  machines!: string[];
}

/** The items that only one machine has. */
export class UpdateOwnItemsDto {
  @Parts(() => BookItemFieldsDto, 100, 'A machine has 100 items of its own at most.')
  items!: BookItemFieldsDto[];

  @IsInt({ message: 'The version that the change is based on is missing.' })
  version!: number;
}
