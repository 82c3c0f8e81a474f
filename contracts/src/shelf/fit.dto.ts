import { FIT_STANDINGS } from '@yugator/core';
import type { Component, FitStanding } from '@yugator/core';
import { IsIn, IsInt, IsNumber, IsOptional, Max, Min } from 'class-validator';
import { IsComponent, IsId, IsText, Parts, Unique } from '../rules/index.js';
import type { ArticleUnit } from './article.dto.js';
import { FluidTraitsDto } from './traits.dto.js';

/** What a machine takes for a component, as it is typed. */
export class FitFieldsDto {
  @IsComponent()
  component!: Component;

  @IsId({ message: 'Choose the article that fits.' })
  articleId!: string;

  /** pieces or litres; null for as much as the card says of a fluid, and one of anything else */
  @IsOptional()
  @Min(0.001, { message: 'Type how much of it is taken, more than 0, or leave it empty.' })
  @Max(1_000, { message: 'Keep how much is taken within 1,000.' })
  @IsNumber({ maxDecimalPlaces: 3 }, { message: 'Type how much of it is taken, as a number.' })
  quantity!: number | null;

  @IsIn(FIT_STANDINGS, { message: 'Say whether it is the original, an equal or a substitute.' })
  standing!: FitStanding;

  /** why a substitute, or a fluid that the card does not name */
  @IsText({ most: 200, message: 'Keep the reason within 200 letters.' })
  reason!: string;
}

/** Says anew what fits a machine. */
export class UpdateFitsDto {
  @Parts(() => FitFieldsDto, 200, 'Keep 200 articles that fit at most.')
  @Unique(
    ({ component, articleId }: FitFieldsDto) => `${component} ${articleId}`,
    'This article stands there for the same component already.',
  )
  fits!: FitFieldsDto[];

  @IsInt({ message: 'The version that the change is based on is missing.' })
  version!: number;
}

/** What a machine takes for a component. */
export class FitDto extends FitFieldsDto {
  /** of the article */
  name!: string;
  unit!: ArticleUnit;
  onHand!: number;
}

/** What fits a machine, in the order of components. */
export class FitsDto {
  fits!: FitDto[];
  /** whether the maker's warranty holds today */
  underWarranty!: boolean;
  /** of the machine */
  version!: number;
}

/** A fluid that fits a machine, with what its label says. */
export class FluidFitDto {
  component!: Component;
  articleId!: string;
  name!: string;
  standing!: FitStanding;
  fluid!: FluidTraitsDto | null;
}
