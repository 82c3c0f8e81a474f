import { Type } from 'class-transformer';
import { IsIn, IsInt, IsOptional, Max, Min } from 'class-validator';

/** Labels on a sheet of the common grid, three across and ten down. */
export const LABELS_OF_SHEET = 30;

/** On what is printed. */
export class PaperQueryDto {
  @IsOptional()
  @IsIn(['a4', 'letter'], { message: 'Choose A4 or Letter.' })
  paper?: 'a4' | 'letter';
}

export class LabelQueryDto extends PaperQueryDto {
  /** the first label of the sheet that is still there, counted from 1 */
  @IsOptional()
  @Type(() => Number)
  @Min(1, { message: 'Labels of a sheet count from 1.' })
  @Max(LABELS_OF_SHEET, { message: 'A sheet has 30 labels at most.' })
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
