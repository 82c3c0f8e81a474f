import { IsBoolean, IsInt, IsOptional, Max, Min } from 'class-validator';
import { IsText, Parts, Unique } from '../rules/index.js';
import type { ArticleUnit } from '../shelf/article.dto.js';
import { SoldDto } from './sold.dto.js';

const LEAD = 'Give the days from the order to the shelf as a whole number from 0 to 365.';

/** What a supplier sells an article in, as it is typed. */
export class OfferFieldsDto extends SoldDto {
  /** days from the order to the shelf; null: as the supplier's other articles */
  @IsOptional()
  @Min(0, { message: LEAD })
  @Max(365, { message: LEAD })
  @IsInt({ message: LEAD })
  leadDays!: number | null;
}

/** What is said of a supplier. */
export class CreateSupplierDto {
  @IsText({ least: 2, most: 80, message: 'Name the supplier with 2 to 80 letters.' })
  name!: string;

  @Min(0, { message: LEAD })
  @Max(365, { message: LEAD })
  @IsInt({ message: LEAD })
  leadDays!: number;

  /** of an order, in minor units */
  @Min(0, { message: 'Carriage cannot be below 0.' })
  @Max(10_000_000, { message: 'Keep the carriage within 100,000.' })
  @IsInt({ message: 'Give the carriage in whole cents.' })
  carriageMinor!: number;

  /** orders from this worth on are carried free; null where none is */
  @IsOptional()
  @Min(1, { message: 'Give the worth from which carriage is free as more than 0, or leave it empty.' })
  @Max(100_000_000, { message: 'Keep the worth from which carriage is free within 1,000,000.' })
  @IsInt({ message: 'Give the worth from which carriage is free in whole cents, or leave it empty.' })
  freeFromMinor!: number | null;

  @IsText({ most: 200, message: 'Keep the note within 200 letters.' })
  note!: string;
}

/** Changes a supplier and what it sells. */
export class UpdateSupplierDto extends CreateSupplierDto {
  @Parts(() => OfferFieldsDto, 1_000, 'A supplier sells 1,000 articles at most.')
  @Unique(
    ({ articleId, pack }: OfferFieldsDto) => `${articleId} ${pack}`,
    'This article stands there in the same pack already.',
  )
  offers!: OfferFieldsDto[];

  /** no longer bought from */
  @IsBoolean({ message: 'Say whether it is no longer bought from.' })
  isRetired!: boolean;

  @IsInt({ message: 'The version that the change is based on is missing.' })
  version!: number;
}

/** What a supplier sells an article in. */
export class OfferDto extends OfferFieldsDto {
  /** of the article */
  name!: string;
  unit!: ArticleUnit;
}

/** Where things are bought. */
export class SupplierDto extends CreateSupplierDto {
  id!: string;
  offers!: OfferDto[];
  isRetired!: boolean;
  version!: number;
}
