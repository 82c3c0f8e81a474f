import { IsBoolean, IsIn, IsInt, IsNumber, IsOptional, Max, Min, ValidateIf } from 'class-validator';
import { METERS } from '@yugator/core';
import type { MeterName, Trigger } from '@yugator/core';
import { IsTriggers } from '../schedule/triggers.js';
import { IsWindowDays, IsWindowHours } from '../schedule/window.js';
import { ParticipationDto } from '../season/season.dto.js';
import { ATTACHMENT_KINDS, MACHINE_STATUSES } from './machineClass.js';
import type { AttachmentKind, MachineStatus } from './machineClass.js';
import {
  AtLeast,
  IsCivilDay,
  IsId,
  IsIds,
  IsMeterHours,
  IsPhoto,
  IsText,
  ListOf,
  Parts,
  Unique,
} from '../rules/index.js';

/** An attachment whose hours are a share of the engine's, or what a meter of its own says. */
export class AttachmentDto {
  @IsIn(ATTACHMENT_KINDS, { message: 'Choose loader, deck, blower or blade.' })
  kind!: AttachmentKind;

  @IsText({ least: 1, most: 60, message: 'Name the attachment in 1 to 60 letters.' })
  name!: string;

  /** null where it has a meter of its own */
  @ValidateIf((attachment: AttachmentDto) => attachment.share !== null)
  @Max(1, { message: 'An attachment runs at most as long as the engine: give a share up to 100 %.' })
  @Min(0.01, { message: 'Give the share of the engine hours from 1 %, such as 20 %.' })
  @IsNumber({ maxDecimalPlaces: 3 }, { message: 'Give the share of the engine hours, such as 20 %.' })
  share!: number | null;

  /** its own hours when the share began to count, or when its own meter was first read */
  @IsMeterHours()
  hoursAtStart!: number;

  /** hours of the engine then */
  @IsMeterHours()
  engineAtStart!: number;
}

/** An attachment as its machine's page shows it. */
export class ShownAttachmentDto extends AttachmentDto {
  /** its hours now */
  life!: number;
}

class VersionedDto {
  @IsInt({ message: 'The version that the change is based on is missing.' })
  version!: number;
}

export class UpdateAttachmentsDto extends VersionedDto {
  @Parts(() => AttachmentDto, 4, 'A machine has one attachment of each kind at most.')
  attachments!: AttachmentDto[];
}

/** In which seasons a machine works. */
export class UpdateParticipationDto extends VersionedDto {
  @Parts(() => ParticipationDto, 20, 'A machine takes part in 20 seasons at most.')
  participation!: ParticipationDto[];
}

/** Takes a machine out of service, lays it up, retires it, or puts it back. */
export class ChangeStatusDto extends VersionedDto {
  @IsIn(MACHINE_STATUSES, { message: 'Choose in service, laid up, out of service or retired.' })
  status!: MachineStatus;

  @IsCivilDay({ message: 'Give the day as a date that exists, such as 2026-11-02.' })
  since!: string;

  @IsText({ least: 3, most: 200, message: 'Say in 3 to 200 letters why.' })
  reason!: string;
}

/** A change of status as the history tells it. */
export class StatusChangeDto {
  status!: MachineStatus;
  since!: string;
  reason!: string;
  by!: string;
}

/** How a machine departs from a line of its books. What is left out stays as the book has it. */
export class OverrideFieldsDto {
  @IsBoolean({ message: 'Say whether the machine has no such part.' })
  isOmitted!: boolean;

  @ValidateIf((fields: OverrideFieldsDto) => fields.triggers !== null)
  @IsTriggers()
  triggers!: Trigger[] | null;

  @IsOptional()
  @Max(1, { message: 'A duty factor shortens: give at most 100 %.' })
  @Min(0.1, { message: 'Give a duty factor from 10 %, such as 50 % for dust.' })
  @IsNumber({ maxDecimalPlaces: 2 }, { message: 'Give the duty factor, such as 50 %.' })
  dutyFactor!: number | null;

  @IsWindowHours()
  windowHours!: number | null;

  @IsWindowDays()
  windowDays!: number | null;

  @IsText({ least: 3, most: 200, message: 'Say in 3 to 200 letters why this machine differs from its book.' })
  reason!: string;
}

/** Intervals as they are typed; null for none. */
export class IntervalFieldsDto {
  @IsOptional()
  @Max(20_000, { message: 'Give 20,000 h at most.' })
  @Min(0.1, { message: 'Give the hours from 0.1, such as 50.' })
  @IsNumber({ maxDecimalPlaces: 2 }, { message: 'Give the hours as a number, such as 50.' })
  hours!: number | null;

  @IsOptional()
  @Max(3_660, { message: 'Give 3,660 days at most.' })
  @Min(1, { message: 'Give at least one day.' })
  @IsInt({ message: 'Give the days as a whole number, such as 7.' })
  days!: number | null;

  @IsOptional()
  @Max(240, { message: 'Give 240 months at most.' })
  @Min(1, { message: 'Give at least one month.' })
  @IsInt({ message: 'Give the months as a whole number, such as 12.' })
  months!: number | null;
}

/** A departure as it is typed: intervals that are left out stay as they are. */
export class DepartureFieldsDto extends IntervalFieldsDto {
  @IsId({ message: 'Choose the line.' })
  itemId!: string;

  @IsBoolean({ message: 'Say whether the machine has no such part.' })
  isOmitted!: boolean;

  @IsOptional()
  @Max(1, { message: 'A duty factor shortens: give at most 100 %.' })
  @Min(0.1, { message: 'Give a duty factor from 10 %, such as 50 % for dust.' })
  @IsNumber({ maxDecimalPlaces: 2 }, { message: 'Give the duty factor, such as 50 %.' })
  dutyFactor!: number | null;

  @IsIn(METERS, { message: 'Choose the meter that the hours count on.' })
  meter!: MeterName;

  @IsText({ least: 3, most: 200, message: 'Say in 3 to 200 letters why this machine differs from its book.' })
  reason!: string;
}

export class OverrideDto extends OverrideFieldsDto {
  itemId!: string;
  itemName!: string;
}

/** What one machine hands on to others of its kind. */
export const SHARED_PARTS = ['spec', 'books', 'seasons', 'attachments', 'overrides', 'fits'] as const;
export type SharedPart = (typeof SHARED_PARTS)[number];

export class ShareDto {
  @IsIn(SHARED_PARTS, { each: true, message: 'Choose what to hand on.' })
  @Unique((part) => part, 'Each part is handed on once.')
  @AtLeast(1, 'Choose what to hand on.')
  @ListOf(SHARED_PARTS.length, 'Choose what to hand on.')
  parts!: SharedPart[];

  @IsIds({
    message: 'Choose the machines.',
    least: { count: 1, message: 'Choose at least one machine.' },
    most: { count: 2000, message: 'Choose 2,000 machines at most.' },
    once: 'Each machine counts once.',
  })
  machineIds!: string[];
}

/** A photo of a machine. */
export class UpdatePhotoDto {
  /** a JPEG in base64; null takes the photo away */
  @ValidateIf((fields: UpdatePhotoDto) => fields.jpeg !== null)
  @IsPhoto()
  jpeg!: string | null;
}

/** Keeps a photo of how something is opened, or takes it away. */
export class UpdateAccessPhotoDto extends UpdatePhotoDto {
  @IsText({ least: 1, most: 80, message: 'Name what is opened, as the card does.' })
  access!: string;
}

/** Says that the meter was replaced, or began again from nought. */
export class ChangeMeterDto {
  /** the engine's, where left out */
  @IsOptional()
  @IsIn(METERS, { message: 'Choose the engine or an attachment.' })
  meter?: MeterName;

  @IsIn(['replaced', 'rolledOver'], { message: 'Say whether the meter was replaced or rolled over.' })
  kind!: 'replaced' | 'rolledOver';

  @IsCivilDay({ message: 'Give the day as a date that exists, such as 2027-05-12.' })
  on!: string;

  /** what the old meter showed at the end; its largest figure where it rolled over */
  @IsMeterHours()
  oldShown!: number;

  /** what the new meter shows, or the same one now */
  @IsMeterHours()
  newShown!: number;

  @IsText({ least: 3, most: 200, message: 'Say in 3 to 200 letters what happened.' })
  reason!: string;
}
