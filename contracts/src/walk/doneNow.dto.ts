import { IsOptional } from 'class-validator';
import { IsCivilDay, IsId, IsMeterHours } from '../rules/index.js';

/** Notes that a short line was done, without a job. */
export class DoneNowDto {
  @IsId({ message: 'Choose the line that was done.' })
  itemId!: string;

  @IsCivilDay({ message: 'Give the day as a date that exists, such as 2027-05-12.' })
  doneOn!: string;

  /** what the meter showed; left out or null where nobody read it: the line then counts from the last reading by that day */
  @IsOptional()
  @IsMeterHours()
  shown?: number | null;
}

/** A record that was kept. */
export class RecordKeptDto {
  jobId!: string;
}
