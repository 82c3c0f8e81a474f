import { ArrayMaxSize, ArrayMinSize, IsInt, IsOptional, Max, Min } from 'class-validator';
import { IsCivilDay, IsText, Parts, Unique } from '../rules/index.js';

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

/** When the workshop is open. */
export class UpdateWorkshopDaysDto {
  /** Monday first */
  @ArrayMinSize(7, { message: 'Say it of all seven days.' })
  @ArrayMaxSize(7, { message: 'Say it of all seven days.' })
  @Parts(() => WorkshopHoursDto, 7, 'Say it of all seven days.')
  week!: WorkshopHoursDto[];

  @Unique((exception: WorkshopExceptionDto) => exception.on, 'This day stands there already.')
  @Parts(() => WorkshopExceptionDto, 400, 'Keep 400 days at most.')
  exceptions!: WorkshopExceptionDto[];

  @IsInt({ message: 'The version that the change is based on is missing.' })
  version!: number;
}

export class WorkshopDaysDto extends UpdateWorkshopDaysDto {}
