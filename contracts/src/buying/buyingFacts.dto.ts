import { Type } from 'class-transformer';
import { IsInt, IsOptional, Max, Min } from 'class-validator';
import type { ArticleKind, ArticleUnit } from '../shelf/article.dto.js';
import { OfferFieldsDto } from './supplier.dto.js';

const WEEKS = 'Look 4 to 52 weeks ahead.';

export class BuyingQueryDto {
  @IsOptional()
  @Type(() => Number)
  @Min(4, { message: WEEKS })
  @Max(52, { message: WEEKS })
  @IsInt({ message: WEEKS })
  weeks?: number;
}

/** One of the articles that some work may take. */
export class ComingArticleDto {
  articleId!: string;
  /** pieces or litres */
  quantity!: number;
}

/** Work that is coming and takes something from the shelf: one of `articles`, the preferred first. */
export class ComingWorkDto {
  machineId!: string;
  machineTag!: string;
  /** civil dates: the 10 % point, expected, the 90 % point */
  earlyOn!: string | null;
  expectedOn!: string;
  lateOn!: string | null;
  articles!: ComingArticleDto[];
}

/** Something ordered that is to come. */
export class ArrivalDto {
  /** civil date */
  on!: string;
  quantity!: number;
}

/** What one kit holds of an article. */
export class HeldDto {
  articleId!: string;
  quantity!: number;
}

/** An article as far as buying goes. */
export class BoughtArticleDto {
  id!: string;
  name!: string;
  kind!: ArticleKind;
  unit!: ArticleUnit;
  onHand!: number;
  leastOnHand!: number;
  /** of one by itself, in minor units */
  priceMinor!: number;
  contents!: HeldDto[];
  arrivals!: ArrivalDto[];
}

/** A supplier that is bought from. */
export class BoughtFromDto {
  id!: string;
  name!: string;
  leadDays!: number;
  carriageMinor!: number;
  freeFromMinor!: number | null;
  offers!: OfferFieldsDto[];
}

/** All that what to buy follows from. */
export class BuyingFactsDto {
  /** civil date */
  today!: string;
  weeks!: number;
  works!: ComingWorkDto[];
  articles!: BoughtArticleDto[];
  suppliers!: BoughtFromDto[];
}
