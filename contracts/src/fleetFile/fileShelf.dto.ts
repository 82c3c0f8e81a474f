import { FIT_STANDINGS } from '@yugator/core';
import type { Component, FitStanding } from '@yugator/core';
import {
  IsBoolean,
  IsIn,
  IsInt,
  IsISO4217CurrencyCode,
  IsNumber,
  IsOptional,
  Max,
  Min,
} from 'class-validator';
import { CreateSupplierDto } from '../buying/supplier.dto.js';
import { IsComponent, IsText, Parts } from '../rules/index.js';
import { CreateArticleDto } from '../shelf/article.dto.js';
import { FileMovementDto } from './fileMovement.dto.js';

const ARTICLE = 'Name an article of the shelf.';

/** What a kit holds of an article. */
export class FileKitPartDto {
  @IsText({ least: 2, most: 80, message: ARTICLE })
  article!: string;

  @Min(0.001, { message: 'Give how much of it is in one kit, more than 0.' })
  @Max(1_000, { message: 'Keep what a kit holds within 1,000.' })
  @IsNumber({ maxDecimalPlaces: 3 }, { message: 'Give how much of it is in one kit, as a number.' })
  quantity!: number;
}

/** What lies there of something that came in. */
export class FileLotDto {
  @Min(0.001, { message: 'Give what is left of it, more than 0.' })
  @Max(100_000, { message: 'Keep what is left within 100,000.' })
  @IsNumber({ maxDecimalPlaces: 3 }, { message: 'Give what is left of it, as a number.' })
  left!: number;

  /** what that is worth, in minor units */
  @Min(0, { message: 'What is left cannot be worth less than nothing.' })
  @Max(2_000_000_000, { message: 'Keep what is left within 20,000,000.' })
  @IsInt({ message: 'Give what is left in whole cents.' })
  leftMinor!: number;

  /** what one of its containers or packs holds; null of what came in loose */
  @IsOptional()
  @Min(0.001, { message: 'Give what one container holds, more than 0, or null.' })
  @Max(10_000, { message: 'Keep what one container holds within 10,000.' })
  @IsNumber({ maxDecimalPlaces: 3 }, { message: 'Give what one container holds, as a number.' })
  container!: number | null;
}

/** An article with what lies there. */
export class FileArticleDto extends CreateArticleDto {
  /** no longer bought */
  @IsBoolean({ message: 'Say whether it is no longer bought.' })
  isRetired!: boolean;

  /** of a kit alone */
  @Parts(() => FileKitPartDto, 50, 'A kit holds 50 articles at most.')
  contents!: FileKitPartDto[];

  /** what lies there, where it is not told how it came to lie there */
  @Parts(() => FileLotDto, 1_000, 'Keep 1,000 lots at most.')
  lots!: FileLotDto[];

  /** all that came and went, the earlier first */
  @IsOptional()
  @Parts(() => FileMovementDto, 20_000, 'Keep 20,000 movements at most.')
  movements?: FileMovementDto[];
}

/** What a supplier sells. */
export class FileOfferDto {
  @IsText({ least: 2, most: 80, message: ARTICLE })
  article!: string;

  @IsText({ most: 40, message: "Keep the supplier's number within 40 letters." })
  number!: string;

  @Min(0.001, { message: 'Give what one pack holds, more than 0.' })
  @Max(10_000, { message: 'Keep what one pack holds within 10,000.' })
  @IsNumber({ maxDecimalPlaces: 3 }, { message: 'Give what one pack holds, as a number.' })
  pack!: number;

  /** of one pack, in minor units */
  @Min(0, { message: 'A price cannot be below 0.' })
  @Max(100_000_000, { message: 'Keep the price within 1,000,000.' })
  @IsInt({ message: 'Give the price in whole cents.' })
  priceMinor!: number;

  /** null: as the supplier's other articles */
  @IsOptional()
  @Min(0, { message: 'Give the days as a whole number from 0 to 365.' })
  @Max(365, { message: 'Give the days as a whole number from 0 to 365.' })
  @IsInt({ message: 'Give the days as a whole number from 0 to 365.' })
  leadDays!: number | null;
}

export class FileSupplierDto extends CreateSupplierDto {
  /** no longer bought from */
  @IsBoolean({ message: 'Say whether it is no longer bought from.' })
  isRetired!: boolean;

  @Parts(() => FileOfferDto, 1_000, 'A supplier sells 1,000 articles at most.')
  offers!: FileOfferDto[];
}

/** What lies on the shelf, and where it is bought. */
export class FileShelfDto {
  /** of all its prices (ISO 4217) */
  @IsISO4217CurrencyCode({ message: 'Give the currency by its code, such as GBP.' })
  currency!: string;

  @Parts(() => FileArticleDto, 10_000, 'Keep 10,000 articles at most.')
  articles!: FileArticleDto[];

  @Parts(() => FileSupplierDto, 500, 'Keep 500 suppliers at most.')
  suppliers!: FileSupplierDto[];
}

/** An article that fits a machine. */
export class FileFitDto {
  @IsComponent()
  component!: Component;

  @IsText({ least: 2, most: 80, message: ARTICLE })
  article!: string;

  /** null: as much as the card says of a fluid, one of anything else */
  @IsOptional()
  @Min(0.001, { message: 'Give how much of it is taken, more than 0, or null.' })
  @Max(1_000, { message: 'Keep how much is taken within 1,000.' })
  @IsNumber({ maxDecimalPlaces: 3 }, { message: 'Give how much of it is taken, as a number.' })
  quantity!: number | null;

  @IsIn(FIT_STANDINGS, { message: 'Say whether it is the original, an equal or a substitute.' })
  standing!: FitStanding;

  @IsText({ most: 200, message: 'Keep the reason within 200 letters.' })
  reason!: string;
}
