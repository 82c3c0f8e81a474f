import { IsIn } from 'class-validator';
import { MachineRefDto } from '../machine/machine.dto.js';
import { IsText } from '../rules/index.js';

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
}

/** Says that something is wrong with a machine. */
export class ReportDefectDto {
  @IsText({ least: 3, most: 300, message: 'Say in 3 to 300 letters what is wrong.' })
  words!: string;

  @IsIn(SEVERITIES, { message: 'Say how bad it is: watch it, mend it soon, or not to be used.' })
  severity!: Severity;
}
