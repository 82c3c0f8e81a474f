import { PageQueryDto } from '../check/pageQuery.dto.js';
import { IsIn, IsOptional } from 'class-validator';
import { IsCivilDay, IsId } from '../rules/index.js';

/** What the audit list knows of. */
export const AUDIT_ACTS = [
  'setUp',
  'signedIn',
  'signInRefused',
  'signInSlowed',
  'signedOut',
  'sessionEnded',
  'passwordChanged',
  'personAdded',
  'roleChanged',
  'personLeft',
  'personReturned',
  'roleRefused',
  'signedOffForAnother',
  'recordVoided',
  'readingVoided',
  'fleetExported',
  'fleetImported',
  'listTaken',
  'articlesMerged',
  'shedDeviceMade',
  'shedDeviceEnded',
  'codeChanged',
  'codeRefused',
  'codeSlowed',
] as const;
export type AuditAct = (typeof AUDIT_ACTS)[number];

/** A line of the audit list. */
export class AuditEntryDto {
  id!: string;
  /** instant, ISO 8601 UTC */
  at!: string;
  act!: AuditAct;
  /** as the person was called then; empty where nobody was signed in */
  by!: string;
  /** whom or what it concerns */
  subject!: string;
  /** the network address that it came from */
  address!: string;
}

export class AuditPageDto {
  entries!: AuditEntryDto[];
  /** all that match */
  total!: number;
}

export class AuditQueryDto extends PageQueryDto {
  @IsOptional()
  @IsIn(AUDIT_ACTS, { message: 'Choose what to look for from the list.' })
  act?: AuditAct;

  /** who acted */
  @IsOptional()
  @IsId({ message: 'Choose somebody of the crew.' })
  personId?: string;

  /** first civil date at the site */
  @IsOptional()
  @IsCivilDay({ message: 'Give the first day as a date that exists, such as 2027-05-01.' })
  from?: string;

  /** last civil date at the site */
  @IsOptional()
  @IsCivilDay({ message: 'Give the last day as a date that exists, such as 2027-05-31.' })
  to?: string;
}
