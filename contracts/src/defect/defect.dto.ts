import { SEVERITIES } from '@yugator/core';
import type { Severity } from '@yugator/core';
import { IsIn, IsInt, IsOptional, Max, Min, ValidateIf } from 'class-validator';
import { MachineRefDto } from '../machine/machine.dto.js';
import { PageQueryDto } from '../check/pageQuery.dto.js';
import { IsId, IsPhoto, IsText, Part } from '../rules/index.js';
import { DefectSearchDto, SearchAnswersDto } from './searchAnswers.dto.js';

export { SEVERITIES };
export type { Severity };

/** Something that is wrong with a machine. */
export class DefectDto {
  id!: string;
  machine!: MachineRefDto;
  /** civil date */
  foundOn!: string;
  reportedBy!: string;
  words!: string;
  severity!: Severity;
  /** of hands that mending it takes; null where nobody said */
  minutes!: number | null;
  itemName!: string | null;
  /** the job that found it, or the walk-round; null where it was reported */
  foundInJobId!: string | null;
  /** the open job of its machine, which can mend it; null where there is none */
  openJobId!: string | null;
  /** civil date of its next visit that is published; null of one that has none, or has ended */
  plannedOn!: string | null;
  /** the job that mended it; null while it is open */
  closedByJobId!: string | null;
  /** how it ended; null while it is open */
  ended!: DefectEndDto | null;
  /** where its photos are shown */
  photos!: string[];
  /** what was found while it was searched why the machine does not start, earliest first */
  searches!: DefectSearchDto[];
}

/** How a defect ended: mended in a job, or taken back because it was none. */
export class DefectEndDto {
  how!: 'mended' | 'takenBack';
  /** civil date */
  on!: string;
  by!: string;
  /** why it was taken back, or the note of the job */
  words!: string;
}

/** Which defects are listed. */
export const DEFECT_STATES = ['open', 'ended', 'all'] as const;

export class DefectQueryDto extends PageQueryDto {
  /** open ones, where left out */
  @IsOptional()
  @IsIn(DEFECT_STATES, { message: 'Choose open, ended or all.' })
  state?: (typeof DEFECT_STATES)[number];

  @IsOptional()
  @IsIn(SEVERITIES, { message: 'Choose how bad it is from the list.' })
  severity?: Severity;

  @IsOptional()
  @IsId({ message: 'Choose the machine from the list.' })
  machineId?: string;

  /** in the words, or in the machine's tag and name */
  @IsOptional()
  @IsText({ most: 100, message: 'Keep the search within 100 letters.' })
  search?: string;

  /** only what the caller reported */
  @IsOptional()
  @IsIn(['mine'], { message: 'Ask for your own, or leave it out.' })
  by?: 'mine';
}

/** A page of defects: worst first while they are open, then the latest ended. */
export class DefectPageDto {
  total!: number;
  defects!: DefectDto[];
}

/** Keeps a photo with a defect. */
export class AddDefectPhotoDto {
  @IsPhoto()
  jpeg!: string;
}

/** Says that something is wrong with a machine. */
export class ReportDefectDto {
  @IsText({ least: 3, most: 300, message: 'Say in 3 to 300 letters what is wrong.' })
  words!: string;

  @IsIn(SEVERITIES, { message: 'Say how bad it is: watch it, mend it soon, or not to be used.' })
  severity!: Severity;

  /** the search that found it, to its end */
  @IsOptional()
  @Part(() => SearchAnswersDto, 'Send what was found.')
  search?: SearchAnswersDto;

  /** a photo of it, in base64 */
  @IsOptional()
  @IsPhoto()
  jpeg?: string;
}

/** Says how long mending a defect takes. */
export class EstimateDefectDto {
  /** of hands; null forgets what was said */
  @ValidateIf((fields: EstimateDefectDto) => fields.minutes !== null)
  @Min(1, { message: 'Give 1 minute or more, or leave it empty.' })
  @Max(6000, { message: 'Keep the minutes within 6,000.' })
  @IsInt({ message: 'Give the minutes as a whole number.' })
  minutes!: number | null;
}

/** Keeps with a defect why the machine does not start. */
export class SearchDefectDto {
  @Part(() => SearchAnswersDto, 'Send what was found.')
  answers!: SearchAnswersDto;
}
