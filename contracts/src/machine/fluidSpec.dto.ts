import { FLUID_DRAINS, LEVEL_READINGS, READ_AT } from '@yugator/core';
import type { Component, FluidDrain, LevelReading, ReadAt } from '@yugator/core';
import { IsIn, IsOptional } from 'class-validator';
import { Parts } from '../rules/index.js';
import { Amount, Name, Note, Of, OwnName } from './specRules.js';

/** A grade of oil and the temperatures it is approved for. */
export class GradeDto {
  @Name('grade')
  grade!: string;

  /** such as API CK-4 */
  @Note()
  category!: string;

  /** °C; null where there is no lower bound */
  @IsOptional()
  @Amount('Give the temperature in °C, from -60 to 60.', 60, -60)
  fromCelsius!: number | null;

  @IsOptional()
  @Amount('Give the temperature in °C, from -60 to 60.', 60, -60)
  toCelsius!: number | null;
}

export class FluidSpecDto {
  @Of()
  component?: Component | null;

  @OwnName()
  fluid!: string;

  /** litres, the filter changed too */
  @Amount('Give the capacity as a volume, such as 1.9 L or 2 qt.', 500)
  litresWithFilter!: number;

  /** litres, the filter left on; null where it makes no difference */
  @IsOptional()
  @Amount('Give the capacity as a volume, such as 1.7 L or 1.8 qt.', 500)
  litresWithoutFilter!: number | null;

  /** litres that the book says to pour first; null where it does not say */
  @IsOptional()
  @Amount('Give the first pour as a volume, such as 1.8 L or 2 qt.', 500)
  firstPour?: number | null;

  /** how it comes out, where that is not as usual; null where nobody said */
  @IsOptional()
  @IsIn(FLUID_DRAINS, { message: 'Choose how it comes out.' })
  drain?: FluidDrain | null;

  /** litres from the low to the full mark of its dipstick; null where it has none or the book does not say */
  @IsOptional()
  @Amount('Give what fits between the marks as a volume, such as 0.5 L or 1 pt.', 50, 0.01)
  betweenMarks?: number | null;

  /** the low and the full mark of its dipstick as they look, such as "ADD to FULL" or "lower to upper hole" */
  @IsOptional()
  @Note()
  marks?: string;

  /** how its level is read; null where nobody said */
  @IsOptional()
  @IsIn(LEVEL_READINGS, { message: 'Choose how its level is read.' })
  reading?: LevelReading | null;

  /** null where nobody said */
  @IsOptional()
  @IsIn(READ_AT, { message: 'Choose whether it is read cold or warm.' })
  readAt?: ReadAt | null;

  /** litres per 100 h that may have to be filled up; null where the book does not say */
  @IsOptional()
  @Amount('Give what it may take in 100 h as a volume, such as 0.2 L or 7 fl oz.', 20, 0.001)
  topUpPer100h?: number | null;

  @Parts(() => GradeDto, 10, 'Keep 10 grades at most.')
  grades!: GradeDto[];
}
