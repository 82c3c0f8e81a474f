import { STOCK_ACTS } from '@yugator/core';
import type { Component, MovementKind, StockAct, StockState } from '@yugator/core';
import { IsBoolean, IsIn, IsInt, IsNumber, IsOptional, Max, Min } from 'class-validator';
import { IsComponentOrNone, IsId, IsText, Part, Parts, Unique } from '../rules/index.js';
import { InShedDto, ShedStockDto } from './shedStock.dto.js';
import { FilterTraitsDto, FluidTraitsDto, MakerNumberDto, PlugTraitsDto } from './traits.dto.js';

export const ARTICLE_KINDS = ['kit', 'part', 'fluid'] as const;
export type ArticleKind = (typeof ARTICLE_KINDS)[number];

export const ARTICLE_UNITS = ['piece', 'litre'] as const;
export type ArticleUnit = (typeof ARTICLE_UNITS)[number];

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
  /** in which sheds, those in which nothing lies left out */
  sheds!: ShedStockDto[];
  /** what lies there, in the order in which it came in and goes out */
  lots!: LotDto[];
  state!: StockState;
  /** our own; '' where it has none */
  number!: string;
  /** what a scanner reads off it; '' where it has none */
  barcode!: string;
  /** where it lies; '' where nobody said */
  place!: string;
  /** what it is; null of a kit, and where nobody said */
  component!: Component | null;
  makerNumbers!: MakerNumberDto[];
  /** of a fluid, as its label says */
  fluid!: FluidTraitsDto | null;
  /** of a filter, as it was measured */
  filter!: FilterTraitsDto | null;
  /** of a spark plug */
  plug!: PlugTraitsDto | null;
  /** no longer bought: what is left of it is used up */
  isRetired!: boolean;
  /** the path of a photo; null where there is none */
  photo!: string | null;
  /** of a kit: what it holds */
  contents!: KitPartDto[];
  version!: number;
  /** latest first */
  movements!: MovementDto[];
}

/** Something that came in, as far as it is still there. */
export class LotDto {
  left!: number;
  /** what that is worth, in minor units */
  leftMinor!: number;
  /** what one of its containers or packs holds; null of what came in loose */
  container!: number | null;
}

/** What a kit holds of an article. */
export class KitPartDto {
  articleId!: string;
  name!: string;
  unit!: ArticleUnit;
  /** in one kit */
  quantity!: number;
  /** of one by itself, in minor units */
  priceMinor!: number;
}

/** A change of stock. */
export class MovementDto {
  /** instant, ISO 8601 UTC */
  at!: string;
  quantity!: number;
  /** what the worth of the shelf changed by, in minor units */
  valueMinor!: number;
  kind!: MovementKind;
  /** null where nobody said in which */
  shed!: string | null;
  by!: string | null;
  /** the machine it was drawn for */
  machineTag!: string | null;
  note!: string;
  voided!: boolean;
}

/** What may be said of an article at any time. */
export class ArticleFieldsDto {
  @IsText({ least: 2, most: 80, message: 'Name the article with 2 to 80 letters.' })
  name!: string;

  @Min(0, { message: 'The least on hand cannot be below 0.' })
  @Max(100_000, { message: 'Keep the least on hand within 100,000.' })
  @IsNumber({ maxDecimalPlaces: 3 }, { message: 'Type the least on hand as a number.' })
  leastOnHand!: number;

  @Min(0, { message: 'A price cannot be below 0.' })
  @Max(100_000_000, { message: 'Keep the price within 1,000,000.' })
  @IsInt({ message: 'Give the price in whole cents.' })
  priceMinor!: number;

  @IsOptional()
  @IsText({ most: 40, message: 'Keep the number within 40 letters.' })
  number?: string;

  @IsOptional()
  @IsText({ most: 60, message: 'Keep the barcode within 60 letters.' })
  barcode?: string;

  @IsOptional()
  @IsText({ most: 60, message: 'Keep the place within 60 letters.' })
  place?: string;

  @IsOptional()
  @IsComponentOrNone()
  component?: Component | null;

  @IsOptional()
  @Parts(() => MakerNumberDto, 20, "Keep 20 makers' numbers at most.")
  makerNumbers?: MakerNumberDto[];

  @IsOptional()
  @Part(() => FluidTraitsDto, 'Say what kind of fluid it is, or leave it out.')
  fluid?: FluidTraitsDto | null;

  @IsOptional()
  @Part(() => FilterTraitsDto, 'Say what the filter measures, or leave it out.')
  filter?: FilterTraitsDto | null;

  @IsOptional()
  @Part(() => PlugTraitsDto, 'Say what the plug measures, or leave it out.')
  plug?: PlugTraitsDto | null;
}

export class CreateArticleDto extends ArticleFieldsDto {
  @IsIn(ARTICLE_KINDS, { message: 'Choose kit, part or fluid.' })
  kind!: ArticleKind;

  @IsIn(ARTICLE_UNITS, { message: 'Choose whether it is counted in pieces or litres.' })
  unit!: ArticleUnit;
}

/** A part of a kit as it is typed. */
export class KitPartFieldsDto {
  @IsId({ message: 'Choose what the kit holds.' })
  articleId!: string;

  @Min(0.001, { message: 'Type how much of it is in one kit, more than 0, or take the line out.' })
  @Max(1_000, { message: 'Keep what a kit holds within 1,000.' })
  @IsNumber({ maxDecimalPlaces: 3 }, { message: 'Type how much of it is in one kit, as a number.' })
  quantity!: number;
}

/** Changes an article. What it is and how it is counted stays: what is on hand is counted that way. */
export class UpdateArticleDto extends ArticleFieldsDto {
  /** of a kit alone */
  @Parts(() => KitPartFieldsDto, 50, 'A kit holds 50 articles at most.')
  @Unique((part: KitPartFieldsDto) => part.articleId, 'Each article counts once; add up its lines.')
  contents!: KitPartFieldsDto[];

  /** no longer bought; left out, as it was */
  @IsOptional()
  @IsBoolean({ message: 'Say whether it is no longer bought.' })
  isRetired?: boolean;

  @IsInt({ message: 'The version that the change is based on is missing.' })
  version!: number;
}

/** Says that two articles are one: all that is known of the one goes to the other. */
export class MergeArticleDto {
  @IsId({ message: 'Choose the article that it is one with.' })
  intoId!: string;

  @IsInt({ message: 'The version that this is based on is missing.' })
  version!: number;

  /** of the article that stays */
  @IsInt({ message: 'The version that this is based on is missing.' })
  intoVersion!: number;
}

/** Stock that came in, came back or went away, or what was counted on the shelf. */
export class StockActDto extends InShedDto {
  @IsIn(STOCK_ACTS, {
    message: 'Say whether stock came in, came back, was counted, moved, thrown away or lent.',
  })
  kind!: StockAct;

  @Min(0, { message: 'How much cannot be below 0.' })
  @Max(100_000, { message: 'Keep the figure within 100,000.' })
  @IsNumber({ maxDecimalPlaces: 3 }, { message: 'Type how much, as a number.' })
  quantity!: number;

  /** of what came in: what one container or pack holds; none of what came in loose */
  @IsOptional()
  @Min(0.001, { message: 'Type what one container holds, more than 0, or leave it empty.' })
  @Max(10_000, { message: 'Keep what one container holds within 10,000.' })
  @IsNumber({ maxDecimalPlaces: 3 }, { message: 'Type what one container holds, as a number.' })
  container?: number | null;

  /** of what came in: for one piece or litre, in minor units; left out, as the article says */
  @IsOptional()
  @Min(0, { message: 'A price cannot be below 0.' })
  @Max(100_000_000, { message: 'Keep the price within 1,000,000.' })
  @IsInt({ message: 'Give the price in whole cents.' })
  priceMinor?: number | null;

  /** of what is moved: the shed into which */
  @IsOptional()
  @IsText({ most: 60, message: 'Choose a shed.' })
  toShed?: string | null;

  @IsOptional()
  @IsText({ most: 200, message: 'Keep the note within 200 letters.' })
  note?: string;
}
