import { IsIn, IsOptional } from 'class-validator';
import { MachineRefDto } from '../machine/machine.dto.js';
import { IsText, Part } from '../rules/index.js';
import { DefectSearchDto, SearchAnswersDto } from './searchAnswers.dto.js';

/** How bad a defect is: to be watched, mended soon, or the machine is not to be used. */
export const SEVERITIES = ['watch', 'soon', 'stop'] as const;
export type Severity = (typeof SEVERITIES)[number];

/** Something that is wrong with a machine. */
export class DefectDto {
  id!: string;
  machine!: MachineRefDto;
  /** civil date */
  foundOn!: string;
  reportedBy!: string;
  words!: string;
  severity!: Severity;
  itemName!: string | null;
  /** the job that mended it; null while it is open */
  closedByJobId!: string | null;
  /** what was found while it was searched why the machine does not start, earliest first */
  searches!: DefectSearchDto[];
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
}

/** Keeps with a defect why the machine does not start. */
export class SearchDefectDto {
  @Part(() => SearchAnswersDto, 'Send what was found.')
  answers!: SearchAnswersDto;
}
