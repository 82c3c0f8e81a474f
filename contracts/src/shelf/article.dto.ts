import type { StockState } from '@yugator/core';
import { IsIn, IsInt, IsNumber, IsOptional, Max, Min } from 'class-validator';
import { IsText } from '../rules/index.js';

export const ARTICLE_KINDS = ['kit', 'part', 'fluid'] as const;
export type ArticleKind = (typeof ARTICLE_KINDS)[number];

export const ARTICLE_UNITS = ['piece', 'litre'] as const;
export type ArticleUnit = (typeof ARTICLE_UNITS)[number];

export const STOCK_ACTS = ['received', 'counted'] as const;

/** A kit, part or fluid on the shelf. */
export class ArticleDto {
  id!: string;
  name!: string;
  kind!: ArticleKind;
  unit!: ArticleUnit;
  leastOnHand!: number;
  /** per unit, in minor units of the site's currency */
  priceMinor!: number;
  onHand!: number;
  state!: StockState;
  /** latest first */
  movements!: MovementDto[];
}

/** A change of stock. */
export class MovementDto {
  /** instant, ISO 8601 UTC */
  at!: string;
  quantity!: number;
  kind!: 'received' | 'counted' | 'drawn';
  by!: string | null;
  /** the machine it was drawn for */
  machineTag!: string | null;
  note!: string;
  voided!: boolean;
}

export class CreateArticleDto {
  @IsText({ least: 2, most: 80, message: 'Name the article with 2 to 80 letters.' })
  name!: string;

  @IsIn(ARTICLE_KINDS, { message: 'Choose kit, part or fluid.' })
  kind!: ArticleKind;

  @IsIn(ARTICLE_UNITS, { message: 'Choose whether it is counted in pieces or litres.' })
  unit!: ArticleUnit;

  @Min(0, { message: 'The least on hand cannot be below 0.' })
  @Max(100_000, { message: 'Keep the least on hand within 100,000.' })
  @IsNumber({ maxDecimalPlaces: 3 }, { message: 'Type the least on hand as a number.' })
  leastOnHand!: number;

  @Min(0, { message: 'A price cannot be below 0.' })
  @Max(100_000_000, { message: 'Keep the price within 1,000,000.' })
  @IsInt({ message: 'Give the price in whole cents.' })
  priceMinor!: number;
}

/** Stock that came in, or what was counted on the shelf. */
export class StockActDto {
  @IsIn(STOCK_ACTS, { message: 'Say whether stock came in or was counted.' })
  kind!: (typeof STOCK_ACTS)[number];

  @Min(0, { message: 'How much cannot be below 0. To take stock out, count the shelf.' })
  @Max(100_000, { message: 'Keep the figure within 100,000.' })
  @IsNumber({ maxDecimalPlaces: 3 }, { message: 'Type how much, as a number.' })
  quantity!: number;

  @IsOptional()
  @IsText({ most: 200, message: 'Keep the note within 200 letters.' })
  note?: string;
}
