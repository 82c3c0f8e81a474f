import { ArrayNotEmpty, IsBoolean, IsInt, Max, Min } from 'class-validator';
import { IsCivilDay, IsId, IsText, Parts, Unique } from '../rules/index.js';
import type { ArticleUnit } from '../shelf/article.dto.js';
import { InShedDto } from '../shelf/shedStock.dto.js';
import { SoldDto } from './sold.dto.js';

const PACKS = 'Give the packs as a whole number from 1 to 10,000, or take the line out.';

/** So many packs of an article. */
export class OrderLineFieldsDto extends SoldDto {
  @Min(1, { message: PACKS })
  @Max(10_000, { message: PACKS })
  @IsInt({ message: PACKS })
  packs!: number;
}

/** What was ordered from a supplier. */
export class CreateOrderDto {
  @IsId({ message: 'Choose a supplier.' })
  supplierId!: string;

  @ArrayNotEmpty({ message: 'Order at least one article.' })
  @Unique(
    ({ articleId, pack }: OrderLineFieldsDto) => `${articleId} ${pack}`,
    'This article stands there in the same pack already; add up its lines.',
  )
  @Parts(() => OrderLineFieldsDto, 500, 'An order has 500 lines at most.')
  lines!: OrderLineFieldsDto[];

  @Min(0, { message: 'Carriage cannot be below 0.' })
  @Max(10_000_000, { message: 'Keep the carriage within 100,000.' })
  @IsInt({ message: 'Give the carriage in whole cents.' })
  carriageMinor!: number;

  @IsCivilDay({ message: 'Give the day on which it is expected as a date that exists.' })
  expectedOn!: string;

  @IsText({ most: 200, message: 'Keep the note within 200 letters.' })
  note!: string;
}

/** What arrived of a line. */
export class ArrivedLineDto {
  /** the line's number in its order, from 0 */
  @Min(0, { message: 'There is no such line.' })
  @Max(499, { message: 'There is no such line.' })
  @IsInt({ message: 'There is no such line.' })
  line!: number;

  @Min(1, { message: PACKS })
  @Max(10_000, { message: PACKS })
  @IsInt({ message: PACKS })
  packs!: number;
}

/** What arrived of an order; the rest is still to come. */
export class ArriveDto extends InShedDto {
  @ArrayNotEmpty({ message: 'Say what arrived.' })
  @Unique((line: ArrivedLineDto) => line.line, 'Each line counts once.')
  @Parts(() => ArrivedLineDto, 500, 'An order has 500 lines at most.')
  lines!: ArrivedLineDto[];

  @IsInt({ message: 'The version that the change is based on is missing.' })
  version!: number;
}

/** What is still to come of an order does not come, or comes on another day. */
export class UpdateOrderDto {
  @IsCivilDay({ message: 'Give the day on which it is expected as a date that exists.' })
  expectedOn!: string;

  @IsText({ most: 200, message: 'Keep the note within 200 letters.' })
  note!: string;

  /** the rest does not come */
  @IsBoolean({ message: 'Say whether the rest still comes.' })
  isClosed!: boolean;

  @IsInt({ message: 'The version that the change is based on is missing.' })
  version!: number;
}

/** So many packs of an article in an order. */
export class OrderLineDto extends OrderLineFieldsDto {
  /** of the article */
  name!: string;
  unit!: ArticleUnit;
  /** packs that are on the shelf */
  arrived!: number;
}

/** What was ordered, and what of it arrived. */
export class OrderDto {
  id!: string;
  supplierId!: string;
  /** of the supplier, as it was called then */
  supplier!: string;
  /** civil dates */
  orderedOn!: string;
  expectedOn!: string;
  by!: string;
  lines!: OrderLineDto[];
  carriageMinor!: number;
  note!: string;
  /** something is still to come */
  isOpen!: boolean;
  version!: number;
}
