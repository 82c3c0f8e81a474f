import type { HoursGrid, UnitSystem } from '@yugator/core';
import { HOURS_GRIDS, UNIT_SYSTEMS } from '@yugator/core';
import { IsIn, IsInt, Max, Min } from 'class-validator';

/** What holds for the whole site. */
export class SiteSettingsFieldsDto {
  @IsIn(HOURS_GRIDS, { message: 'Choose whether hours count since done or on the meter.' })
  hoursGrid!: HoursGrid;

  @IsIn(UNIT_SYSTEMS, { message: 'Choose metric or US units.' })
  unitSystem!: UnitSystem;

  @Max(90, { message: 'Give 90 days at most.' })
  @Min(1, { message: 'Give at least 1 day.' })
  @IsInt({ message: 'Give the days as a whole number, such as 8.' })
  staleAfterDays!: number;
}

export class UpdateSiteSettingsDto extends SiteSettingsFieldsDto {
  @IsInt({ message: 'The version that the change is based on is missing.' })
  version!: number;
}

export class SiteSettingsDto extends SiteSettingsFieldsDto {
  version!: number;
}
