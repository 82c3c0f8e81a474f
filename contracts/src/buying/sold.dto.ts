import { IsInt, IsNumber, Max, Min } from 'class-validator';
import { IsId, IsText } from '../rules/index.js';

/** An article as a supplier sells it: in which pack, at what price. */
export class SoldDto {
  @IsId({ message: 'Choose an article from the shelf.' })
  articleId!: string;

  /** the supplier's own; '' where it has none */
  @IsText({ most: 40, message: "Keep the supplier's number within 40 letters." })
  number!: string;

  /** pieces or litres in one pack or container */
  @Min(0.001, { message: 'Type what one pack holds, more than 0.' })
  @Max(10_000, { message: 'Keep what one pack holds within 10,000.' })
  @IsNumber({ maxDecimalPlaces: 3 }, { message: 'Type what one pack holds, as a number.' })
  pack!: number;

  /** of one pack, in minor units */
  @Min(0, { message: 'A price cannot be below 0.' })
  @Max(100_000_000, { message: 'Keep the price within 1,000,000.' })
  @IsInt({ message: 'Give the price in whole cents.' })
  priceMinor!: number;
}
