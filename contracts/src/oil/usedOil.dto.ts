import { WASTE_KEYS } from '@yugator/core';
import type { CollectionOutlook, Waste } from '@yugator/core';
import { IsIn, IsNumber, IsOptional, Max, Min } from 'class-validator';
import { IsCivilDay, IsText } from '../rules/index.js';

/** What is written into the book by hand: what went in or was collected, or how much was found in a container. */
export const WASTE_ACTS = ['in', 'collected', 'level'] as const;
export type WasteAct = (typeof WASTE_ACTS)[number];

const WASTE = 'Choose which container it is.';

/** What a job drained into a container of waste. */
export class DrainedDto {
  @IsIn(WASTE_KEYS, { message: WASTE })
  waste!: Waste;

  @Min(0, { message: 'Litres cannot be below 0.' })
  @Max(500, { message: 'Keep what was drained within 500 litres.' })
  @IsNumber({ maxDecimalPlaces: 2 }, { message: 'Give the litres that were drained as a number.' })
  litres!: number;
}

/** A line of the used-oil book. */
export class UsedOilEntryDto {
  id!: string;
  /** civil date */
  on!: string;
  /** litres that went in; negative for a collection */
  litres!: number;
  note!: string;
  /** the collector's number; '' where none was given */
  receipt!: string;
  by!: string;
  waste!: Waste;
}

/** A container of waste. */
export class WasteContainerDto {
  waste!: Waste;
  /** litres in it now */
  inside!: number;
  /** litres it holds; 0 where none is kept */
  capacity!: number;
  /** when it is full by what went into it; null where too little is known */
  outlook!: CollectionOutlook | null;
}

/** The containers of waste and their book, latest first. */
export class UsedOilDto {
  containers!: WasteContainerDto[];
  entries!: UsedOilEntryDto[];
}

export class EnterUsedOilDto {
  @IsIn(WASTE_ACTS, { message: 'Say whether something went in, was collected, or what was found in it.' })
  kind!: WasteAct;

  @IsIn(WASTE_KEYS, { message: WASTE })
  waste!: Waste;

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

  /** the collector's number of a collection */
  @IsOptional()
  @IsText({ most: 60, message: 'Keep the number of the receipt within 60 letters.' })
  receipt?: string;
}
