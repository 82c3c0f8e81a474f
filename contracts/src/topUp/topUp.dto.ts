import type { Component, Thirst } from '@yugator/core';
import { COMPONENTS } from '@yugator/core';
import { IsIn, IsOptional, Max, Min } from 'class-validator';
import { MachineRefDto } from '../machine/machine.dto.js';
import { GradeDto } from '../machine/fluidSpec.dto.js';
import { IsDecimal, IsId, IsMeterHours, IsText } from '../rules/index.js';

/** Fluids that are filled up between changes; fuel is not kept book of. */
export const TOPPED_UP: readonly Component[] = Object.entries(COMPONENTS).flatMap(([key, { is }]) =>
  is === 'fluid' && key !== 'fuel' ? [key as Component] : [],
);

/** Some of a fluid that was filled up. */
export class PouredDto {
  @IsIn(TOPPED_UP, { message: 'Choose the fluid from the list.' })
  component!: Component;

  /** litres */
  @Min(0.001, { message: 'Give how much was filled up, more than nothing.' })
  @Max(100, { message: 'Keep it within 100 L. A change is a job.' })
  @IsDecimal(3, { message: 'Give how much was filled up as a volume, such as 0.3 L or 10 fl oz.' })
  litres!: number;

  /** as the card or the bottle names it */
  @IsText({ least: 1, most: 80, message: 'Say in 1 to 80 letters what was poured.' })
  grade!: string;

  /** why another than the card names was poured; the crew lead alone may say so */
  @IsOptional()
  @IsText({ most: 200, message: 'Keep the reason within 200 letters.' })
  reason?: string;

  /** the article that it came out of; left out or null where it is not of the shelf */
  @IsOptional()
  @IsId({ message: 'Choose a fluid of the shelf.' })
  articleId?: string | null;
}

/** Keeps that a fluid was filled up. */
export class TopUpDto extends PouredDto {
  /** what the meter shows; left out or null where nobody read it */
  @IsOptional()
  @IsMeterHours()
  shown?: number | null;
}

/** A top-up on record. */
export class ToppedUpDto {
  /** of its record */
  jobId!: string;
  component!: Component;
  /** civil date */
  on!: string;
  life!: number;
  litres!: number;
  grade!: string;
  /** why it was another than the card's; '' where it was the card's */
  reason!: string;
  by!: string;
}

/** A stretch of running, and what was filled up at its end. */
export class DrinkSpanDto {
  /** life hours at its end */
  life!: number;
  hours!: number;
  litres!: number;
}

/** How much of a fluid a machine uses up, in litres per 100 h. */
export class ConsumptionDto {
  component!: Component;
  /** over the latest two top-ups; null before there are two with hours between */
  latest!: number | null;
  /** before those; null while too little was watched */
  usual!: number | null;
  /** what the card allows; null where it does not say */
  allowed!: number | null;
  thirst!: Thirst | null;
  /** in order of time */
  spans!: DrinkSpanDto[];
}

/** A fluid that the machine takes, and what the card names for it; none where it has no line for it. */
export class FluidTakenDto {
  component!: Component;
  grades!: GradeDto[];
}

/** What was filled up on a machine, and what it takes. */
export class TopUpsDto {
  machine!: MachineRefDto;
  /** what the meter showed last; null where it was never read */
  lastShown!: number | null;
  /** those of its card first */
  fluids!: FluidTakenDto[];
  /** latest first */
  topUps!: ToppedUpDto[];
  /** of each fluid that was filled up */
  consumption!: ConsumptionDto[];
}
