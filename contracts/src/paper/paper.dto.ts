import { Type } from 'class-transformer';
import { IsIn, IsInt, IsOptional, Max, Min } from 'class-validator';

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

/** What stands on a label for a filter or a fill cap. */
export class ServiceLabelDto {
  title!: string;
  lines!: string[];
}

export class PrintedLabelDto extends ServiceLabelDto {
  /** instant, ISO 8601 UTC */
  at!: string;
}
