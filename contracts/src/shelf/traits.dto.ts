import { CATEGORY_KEYS, FLUID_KIND_KEYS } from '@yugator/core';
import type { Category, FluidKind } from '@yugator/core';
import { IsIn, IsNumber, IsOptional, Max, Min } from 'class-validator';
import { applyDecorators, IsText, ListOf, Unique } from '../rules/index.js';

/** A length in mm that may not have been measured. */
function Measured(what: string): PropertyDecorator {
  const message = `Give ${what} as a length, such as 76 mm or 3 in, or leave it empty.`;
  return applyDecorators(
    IsOptional(),
    IsNumber({ maxDecimalPlaces: 3 }, { message }),
    Min(0.1, { message }),
    Max(2_000, { message }),
  );
}

/** A number under which a maker sells an article. */
export class MakerNumberDto {
  @IsText({ most: 60, message: "Keep the maker's name within 60 letters." })
  maker!: string;

  @IsText({ least: 1, most: 40, message: 'Type the number, 1 to 40 letters.' })
  number!: string;

  /** the number that took its place; '' while it is the present one */
  @IsText({ most: 40, message: 'Keep the number that took its place within 40 letters.' })
  supersededBy!: string;
}

/** What the label of a fluid says. */
export class FluidTraitsDto {
  @IsIn(FLUID_KIND_KEYS, { message: 'Choose what kind of fluid it is.' })
  kind!: FluidKind;

  /** such as 10W-30; '' where it has none */
  @IsText({ most: 40, message: 'Keep the grade within 40 letters.' })
  grade!: string;

  @IsIn(CATEGORY_KEYS, { each: true, message: 'Choose the categories from the list.' })
  @Unique((category) => category, 'Each category counts once.')
  @ListOf(10, 'Keep 10 categories at most.')
  categories!: Category[];
}

/** What was measured on a filter. */
export class FilterTraitsDto {
  @Measured('the height')
  height!: number | null;

  @Measured('the outside diameter')
  outside!: number | null;

  @Measured('the diameter of the gasket')
  gasket!: number | null;

  @IsText({ most: 40, message: 'Keep the thread within 40 letters, such as 3/4-16 UNF.' })
  thread!: string;

  /** kPa */
  @IsOptional()
  @Max(1_000, { message: 'Give the pressure at which the bypass opens, such as 70 kPa or 10 psi.' })
  @Min(1, { message: 'Give the pressure at which the bypass opens, such as 70 kPa or 10 psi.' })
  @IsNumber(
    { maxDecimalPlaces: 6 },
    { message: 'Give the pressure at which the bypass opens, such as 70 kPa or 10 psi.' },
  )
  bypass!: number | null;
}

/** What was measured on a spark plug. */
export class PlugTraitsDto {
  @Measured('the reach of the thread')
  reach!: number | null;

  @IsText({ most: 40, message: 'Keep the thread within 40 letters, such as M14 × 1.25.' })
  thread!: string;

  @Measured('the hexagon')
  hexagon!: number | null;
}
