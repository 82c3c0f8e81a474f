import { IsInt, IsNumber, IsOptional, Max, Min } from 'class-validator';
import { AtLeast, IsCivilDay, IsId, IsText, Parts } from '../rules/index.js';

/** The days of a season in one year; it may end in the year after. */
export class SeasonYearDto {
  @Max(2100, { message: 'Give a year up to 2100.' })
  @Min(2000, { message: 'Give a year from 2000 on.' })
  @IsInt({ message: 'Give the year as a whole number, such as 2027.' })
  year!: number;

  @IsCivilDay({ message: 'Give the first day as a date that exists, such as 2027-03-24.' })
  firstDay!: string;

  @IsCivilDay({ message: 'Give the last day as a date that exists, such as 2027-10-24.' })
  lastDay!: string;
}

export class SeasonFieldsDto {
  /** left out for a new season */
  @IsOptional()
  @IsId({ message: 'The season is missing.' })
  id?: string;

  @IsText({ least: 1, most: 30, message: 'Name the season in 1 to 30 letters, such as Mowing.' })
  name!: string;

  @AtLeast(1, 'Give the days of at least one year.')
  @Parts(() => SeasonYearDto, 50, 'Keep 50 years at most.')
  years!: SeasonYearDto[];
}

/** All seasons of the site. */
export class UpdateSeasonsDto {
  @Parts(() => SeasonFieldsDto, 20, 'Keep 20 seasons at most.')
  seasons!: SeasonFieldsDto[];

  @IsInt({ message: 'The version that the change is based on is missing.' })
  version!: number;
}

export class SeasonDto {
  id!: string;
  name!: string;
  /** the years whose days are set, in order; others take over those of the nearest year before, or after */
  years!: SeasonYearDto[];
  /** tags of the machines that take part */
  machines!: string[];
}

export class SeasonsDto {
  seasons!: SeasonDto[];
  version!: number;
}

/** A machine's part in a season. */
export class ParticipationDto {
  @IsId({ message: 'Choose the season.' })
  seasonId!: string;

  @Max(168, { message: 'A week has 168 hours.' })
  @Min(0, { message: 'Hours a week cannot be less than 0.' })
  @IsNumber({ maxDecimalPlaces: 2 }, { message: 'Give the planned hours a week as a number, such as 8.' })
  hoursPerWeek!: number;
}

/** Hours that a machine ran in a week, and what was planned. */
export class WeekOfUseDto {
  /** civil date of its Monday */
  from!: string;
  planned!: number;
  /** null where no readings tell */
  observed!: number | null;
}
