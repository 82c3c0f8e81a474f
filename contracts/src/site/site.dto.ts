import type { DateOrder, HoursGrid, UnitSystem } from '@yugator/core';
import { DATE_ORDERS, HOURS_GRIDS, UNIT_SYSTEMS } from '@yugator/core';
import { IsIn, IsInt, IsOptional, Max, Min } from 'class-validator';

/** What holds for the whole site. */
export class SiteSettingsFieldsDto {
  @IsIn(HOURS_GRIDS, { message: 'Choose whether hours count since done or on the meter.' })
  hoursGrid!: HoursGrid;

  @IsIn(UNIT_SYSTEMS, { message: 'Choose metric or US units.' })
  unitSystem!: UnitSystem;

  @IsIn(DATE_ORDERS, { message: 'Choose how days are typed: day, month or year first.' })
  dateOrder!: DateOrder;

  @Max(90, { message: 'Give 90 days at most.' })
  @Min(1, { message: 'Give at least 1 day.' })
  @IsInt({ message: 'Give the days as a whole number, such as 8.' })
  staleAfterDays!: number;

  /** days without use after which a session ends, but on a device that is the person's own */
  @Max(90, { message: 'Give 90 days at most.' })
  @Min(1, { message: 'Give at least 1 day.' })
  @IsInt({ message: 'Give the days as a whole number, such as 14.' })
  sessionIdleDays!: number;

  /** what an hour of the crew costs, in minor units of its currency; null where labour is not reckoned */
  @IsOptional()
  @Max(1_000_000, { message: 'Keep the rate within 10,000 an hour.' })
  @Min(0, { message: 'A rate cannot be below 0.' })
  @IsInt({ message: 'Give the rate as an amount of money, such as 32.50, or leave it empty.' })
  labourRateMinor!: number | null;
}

export class UpdateSiteSettingsDto extends SiteSettingsFieldsDto {
  @IsInt({ message: 'The version that the change is based on is missing.' })
  version!: number;
}

export class SiteSettingsDto extends SiteSettingsFieldsDto {
  version!: number;
}
