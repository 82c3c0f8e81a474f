import { Type } from 'class-transformer';
import { IsIn, IsInt, IsOptional, Max, Min } from 'class-validator';
import { IsId, IsText } from '../rules/index.js';
import type { ArticleUnit } from '../shelf/article.dto.js';

/** What a crew prints on. */
export const PAPERS = ['a4', 'letter'] as const;
export type Paper = (typeof PAPERS)[number];

/** Labels on a sheet of the common grids: three across, eight down on A4 and ten on Letter (common practice). */
export const LABELS_OF_SHEET: Record<Paper, number> = { a4: 24, letter: 30 };

/** On what is printed. */
export class PaperQueryDto {
  @IsOptional()
  @IsIn(PAPERS, { message: 'Choose A4 or Letter.' })
  paper?: Paper;
}

export class LabelQueryDto extends PaperQueryDto {
  /** the first label of the sheet that is still there, counted from 1 */
  @IsOptional()
  @Type(() => Number)
  @Min(1, { message: 'Labels of a sheet count from 1.' })
  @Max(LABELS_OF_SHEET.letter, { message: 'A sheet has 30 labels at most.' })
  @IsInt({ message: 'Give the label as a whole number.' })
  from?: number;
}

/** How large the codes on machines are: common sheets of weatherproof labels. */
export const CODE_SIZES = ['small', 'large'] as const;
export type CodeSize = (typeof CODE_SIZES)[number];

/** Codes on a sheet: 70 × 37 mm or 99 × 67.7 mm on A4; 2 5/8 × 1 in or 4 × 2 in on Letter (common practice). */
export const CODES_OF_SHEET: Record<Paper, Record<CodeSize, number>> = {
  a4: { small: 24, large: 8 },
  letter: { small: 30, large: 10 },
};

export class CodesQueryDto extends LabelQueryDto {
  @IsOptional()
  @IsIn(CODE_SIZES, { message: 'Choose small or large.' })
  size?: CodeSize;

  /** one machine; left out, all that are not retired */
  @IsOptional()
  @IsId({ message: 'Choose the machine from the list.' })
  machineId?: string;
}

export class ShelfLabelsQueryDto extends LabelQueryDto {
  /** one article; left out, all that are still bought */
  @IsOptional()
  @IsId({ message: 'Choose the article from the list.' })
  articleId?: string;

  /** what lies at one place alone; '' for what has none */
  @IsOptional()
  @IsText({ most: 60, message: 'Keep the place within 60 letters.' })
  place?: string;
}

/** What stands on a label of the shelf. */
export class ShelfLabelDto {
  name!: string;
  /** its number, place and grade */
  about!: string;
  /** what a scanner reads off it; '' where it has no code */
  code!: string;
}

/** An article on a sheet to count with. */
export class CountLineDto {
  name!: string;
  number!: string;
  place!: string;
  unit!: ArticleUnit;
  /** what its containers hold */
  sizes!: number[];
}

/** What is counted on one sheet. */
export class CountPartDto {
  /** of what lies there; null where sheds are not told apart */
  shed!: string | null;
  lines!: CountLineDto[];
}

/** What stands on a machine: its plate, its name, and a code that opens its page. */
export class MachineCodeDto {
  tag!: string;
  name!: string;
  /** the address that the code holds */
  address!: string;
}

/** What stands on a label for a filter or a fill cap. */
export class ServiceLabelDto {
  title!: string;
  lines!: string[];
}

export class PrintedLabelDto extends ServiceLabelDto {
  /** instant, ISO 8601 UTC */
  at!: string;
}
