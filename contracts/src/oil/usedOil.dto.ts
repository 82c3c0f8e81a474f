import { IsIn, IsNumber, Max, Min } from 'class-validator';
import { IsCivilDay, IsText } from '../rules/index.js';

/** A line of the used-oil book. */
export class UsedOilEntryDto {
  id!: string;
  /** civil date */
  on!: string;
  /** litres that went in; negative for a collection */
  litres!: number;
  note!: string;
  by!: string;
}

/** The used-oil container and its book, latest first. */
export class UsedOilDto {
  /** litres in it now */
  inside!: number;
  /** litres it holds */
  capacity!: number;
  entries!: UsedOilEntryDto[];
}

export class EnterUsedOilDto {
  @IsIn(['in', 'collected'], { message: 'Say whether oil went in or was collected.' })
  kind!: 'in' | 'collected';

  @Min(0.01, { message: 'Give the litres, more than 0.' })
  @Max(2000, { message: 'Keep it within 2,000 litres.' })
  @IsNumber({ maxDecimalPlaces: 2 }, { message: 'Give the litres as a number, such as 3.7.' })
  litres!: number;

  @IsCivilDay({ message: 'Give the day as a date that exists, such as 2027-05-12.' })
  on!: string;

  @IsText({
    least: 3,
    most: 200,
    message: 'Say in 3 to 200 letters from where, or by whom it was collected.',
  })
  note!: string;
}
