import { ArrayMaxSize, ArrayMinSize, IsInt, IsOptional, Max, Min } from 'class-validator';
import { IsCivilDay, IsId, IsText, Parts, Unique } from '../rules/index.js';

const MINUTES = 'Give the minutes of all hands together, as a whole number from 0 to 6,000.';
const BAYS = 'Give for how many machines there is room, as a whole number from 0 to 50.';

/** How long the workshop is open on a day, and for how many machines there is room. */
export class WorkshopHoursDto {
  /** of all hands together; 0: it is closed */
  @Min(0, { message: MINUTES })
  @Max(6_000, { message: MINUTES })
  @IsInt({ message: MINUTES })
  minutes!: number;

  @Min(0, { message: BAYS })
  @Max(50, { message: BAYS })
  @IsInt({ message: BAYS })
  bays!: number;
}

/** A day on which it is otherwise than on its weekday. */
export class WorkshopExceptionDto extends WorkshopHoursDto {
  @IsCivilDay({ message: 'Give the day as a date that exists, such as 2026-12-24.' })
  on!: string;

  /** why; '' where nobody said */
  @IsOptional()
  @IsText({ most: 80, message: 'Keep the reason within 80 letters.' })
  note?: string;
}

/** Some days on end. */
export class DaysDto {
  @IsCivilDay({ message: 'Give the first day as a date that exists, such as 2027-05-29.' })
  from!: string;

  /** the last of them */
  @IsCivilDay({ message: 'Give the last day as a date that exists, such as 2027-05-31.' })
  until!: string;

  /** why, or what for; '' where nobody said */
  @IsOptional()
  @IsText({ most: 80, message: 'Keep the reason within 80 letters.' })
  note?: string;
}

/** Days on which a machine must not be missing, such as those of a match or a fair. */
export class NeededDaysDto extends DaysDto {
  /** null or left out: none of them may */
  @IsOptional()
  @IsId({ message: 'Choose a machine of the fleet.' })
  machineId?: string | null;
}

const HAND = 'Give the minutes as a whole number from 0 to 1,440.';

/** How long somebody works in the workshop on a weekday. */
export class HandMinutesDto {
  @Min(0, { message: HAND })
  @Max(1_440, { message: HAND })
  @IsInt({ message: HAND })
  minutes!: number;
}

/** Somebody who works in the workshop. */
export class HandDto {
  @IsId({ message: 'Choose somebody of the crew.' })
  personId!: string;

  /** Monday first */
  @ArrayMinSize(7, { message: 'Say it of all seven days.' })
  @ArrayMaxSize(7, { message: 'Say it of all seven days.' })
  @Parts(() => HandMinutesDto, 7, 'Say it of all seven days.')
  week!: HandMinutesDto[];
}

/** Days on which somebody is away. */
export class AbsenceDto extends DaysDto {
  @IsId({ message: 'Choose somebody who works in the workshop.' })
  personId!: string;
}

const READY = 'Give the days as a whole number from 0 to 60.';
const LAY_UP = 'Give the days as a whole number from 0 to 90.';

/** When the workshop is open, and what the plan reckons with. */
export class UpdateWorkshopDaysDto {
  /** Monday first */
  @ArrayMinSize(7, { message: 'Say it of all seven days.' })
  @ArrayMaxSize(7, { message: 'Say it of all seven days.' })
  @Parts(() => WorkshopHoursDto, 7, 'Say it of all seven days.')
  week!: WorkshopHoursDto[];

  @Unique((exception: WorkshopExceptionDto) => exception.on, 'This day stands there already.')
  @Parts(() => WorkshopExceptionDto, 400, 'Keep 400 days at most.')
  exceptions!: WorkshopExceptionDto[];

  /** who works there; none: the minutes of the week are those of all hands */
  @Unique(({ personId }: HandDto) => personId, 'This person stands there already.')
  @Parts(() => HandDto, 100, 'Keep 100 people at most.')
  hands!: HandDto[];

  @Parts(() => AbsenceDto, 400, 'Keep 400 absences at most.')
  absences!: AbsenceDto[];

  @Parts(() => NeededDaysDto, 400, 'Keep 400 such days at most.')
  needed!: NeededDaysDto[];

  /** days before its season by which a machine is ready */
  @Min(0, { message: READY })
  @Max(60, { message: READY })
  @IsInt({ message: READY })
  readyDays!: number;

  /** days after its season within which a machine is laid up */
  @Min(0, { message: LAY_UP })
  @Max(90, { message: LAY_UP })
  @IsInt({ message: LAY_UP })
  layUpDays!: number;

  @IsInt({ message: 'The version that the change is based on is missing.' })
  version!: number;
}

export class WorkshopDaysDto extends UpdateWorkshopDaysDto {}
