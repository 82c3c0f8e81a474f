import { ArrayNotEmpty, IsNumber, IsOptional, Max, Min } from 'class-validator';
import { IsId, IsText, Parts, Unique } from '../rules/index.js';
import { InShedDto } from './shedStock.dto.js';

const COUNTED = 'Type how much there is, as a number from 0.';

/** What somebody counted of an article. */
export class CountedLineDto {
  @IsId({ message: 'Choose an article from the shelf.' })
  articleId!: string;

  /** pieces or litres */
  @Min(0, { message: COUNTED })
  @Max(100_000, { message: 'Keep the figure within 100,000.' })
  @IsNumber({ maxDecimalPlaces: 3 }, { message: COUNTED })
  counted!: number;

  /** what the book said when it was counted: what moved since has to be counted anew */
  @IsNumber({ maxDecimalPlaces: 3 }, { message: 'What the book said when it was counted is missing.' })
  booked!: number;
}

/** A count of the shelf, or of a part of it, in one shed: all of it is booked, or nothing. */
export class CountSheetDto extends InShedDto {
  @ArrayNotEmpty({ message: 'Count at least one article.' })
  @Unique((line: CountedLineDto) => line.articleId, 'Each article counts once; add up its lines.')
  @Parts(() => CountedLineDto, 2_000, 'A count has 2,000 articles at most.')
  lines!: CountedLineDto[];

  @IsOptional()
  @IsText({ most: 200, message: 'Keep the note within 200 letters.' })
  note?: string;
}

/** What a count came to. */
export class CountResultDto {
  /** articles that were counted */
  counted!: number;
  /** articles that differed from the book */
  differing!: number;
  /** worth of what is missing, in minor units of the site's currency */
  missingMinor!: number;
  /** worth of what is there besides the book */
  besidesMinor!: number;
}
