import { METERS, OUTCOMES, WASTE_KEYS } from '@yugator/core';
import type { EarlierFinding, MachineSetUp, MeterName, MonthTemperatures, Outcome } from '@yugator/core';
import { IsBoolean, IsIn, IsInt, IsNumber, IsOptional, Max, Min, ValidateIf } from 'class-validator';
import { MachineRefDto } from '../machine/machine.dto.js';
import { AccessPhotoDto } from '../machine/accessPhoto.dto.js';
import { DueLineDto } from '../schedule/due.dto.js';
import { DefectDto, SEVERITIES } from '../defect/defect.dto.js';
import type { Severity } from '../defect/defect.dto.js';
import { FluidFitDto } from '../shelf/fit.dto.js';
import { ItemNeedDto, ShelvedKitDto, VesselsDto } from './visit.dto.js';
import { DrainedDto } from '../oil/usedOil.dto.js';
import { IsFound } from './found.js';
import { RecordDto } from './record.dto.js';
import type { Found } from './found.js';
import { IsCivilDay, IsId, IsIds, IsMeterHours, IsPhoto, IsText, Parts, Unique } from '../rules/index.js';

export type { Outcome };

const BASED_ON = 'The version that the change is based on is missing.';

export class OpenJobDto {
  @IsId({ message: 'Choose the machine.' })
  machineId!: string;

  /** none where the machine comes only for its open defects */
  @IsIds({
    message: 'Choose items of the machine.',
    most: { count: 100, message: 'A job takes 100 items at most.' },
    once: 'Each item counts once.',
  })
  itemIds!: string[];
}

/** What became of an item in a job. */
export class OutcomeDto {
  /** null takes the outcome back */
  @ValidateIf((fields: OutcomeDto) => fields.outcome !== null)
  @IsIn(OUTCOMES, { message: 'Choose done, kept, deferred or defect.' })
  outcome!: Outcome | null;

  /** life hours at which a part that is kept is looked at again, or deferred work is due */
  @IsOptional()
  @IsMeterHours()
  untilLife?: number | null;

  /** the meter of those hours; left out or null for the engine's */
  @IsOptional()
  @IsIn(METERS, { message: 'Choose the meter: engine, loader, deck, blower or blade.' })
  untilMeter?: MeterName | null;

  /** the day of the same */
  @IsOptional()
  @IsCivilDay({ message: 'Give the day as a date that exists, such as 2027-07-01.' })
  untilOn?: string | null;

  /** of a check that came out clean: the next one is left out */
  @IsOptional()
  @IsBoolean({ message: 'Say whether the next one is left out.' })
  leavesOutNext?: boolean;

  /** of a defect */
  @IsOptional()
  @IsIn(SEVERITIES, { message: 'Say how bad it is: watch it, mend it soon, or not to be used.' })
  severity?: Severity | null;

  /** why, or what was found */
  @IsOptional()
  @IsText({ most: 300, message: 'Keep the note within 300 letters.' })
  note?: string;

  @IsInt({ message: BASED_ON })
  version!: number;
}

/** What is said of a step. What is left out stays as it is. */
export class UpdateStepDto {
  @IsOptional()
  @IsBoolean({ message: 'Say whether the step is done.' })
  isDone?: boolean;

  /** its cautions were read */
  @IsOptional()
  @IsBoolean({ message: 'Say whether the cautions were read.' })
  isAcknowledged?: boolean;

  /** begins what passes by itself, or forgets that it began; left out, it goes on as it is */
  @IsOptional()
  @IsIn(['start', 'forget'], { message: 'Say whether the time starts or is forgotten.' })
  timer?: 'start' | 'forget';

  /** figures in SI and words, by the name of the field */
  @IsOptional()
  @IsFound()
  found?: Found | null;

  /** 0 for a step that nobody touched yet; what could not be sent when it was typed is taken whatever it is based on */
  @IsInt({ message: BASED_ON })
  version!: number;
}

/** Puts a job aside until something is there, or takes it up again. */
export class PauseJobDto {
  /** null takes it up again */
  @ValidateIf((fields: PauseJobDto) => fields.reason !== null)
  @IsText({ least: 3, most: 200, message: 'Say in 3 to 200 letters what it waits for.' })
  reason!: string | null;

  @IsInt({ message: BASED_ON })
  version!: number;
}

/** Something of the kits that a job opened, which it did not use. */
export class LeftOverDto {
  @IsId({ message: 'Choose what is left of the kit.' })
  articleId!: string;

  @Min(0.001, { message: 'Type how much is left, more than 0, or take the line out.' })
  @Max(10_000, { message: 'Keep what is left within 10,000.' })
  @IsNumber({ maxDecimalPlaces: 3 }, { message: 'Type how much is left, as a number.' })
  quantity!: number;
}

/** An article and how much of it a job takes. */
export class DrawDto {
  @IsId({ message: 'Choose an article from the shelf.' })
  articleId!: string;

  @Min(0.001, { message: 'Type how much was used, more than 0, or take the line out.' })
  @Max(10_000, { message: 'Keep what was used within 10,000.' })
  @IsNumber({ maxDecimalPlaces: 3 }, { message: 'Type how much was used, as a number.' })
  quantity!: number;

  /** what the shelf said there was when this was written down: who draws what somebody else drew meanwhile is told */
  @IsOptional()
  @IsNumber({ maxDecimalPlaces: 3 }, { message: 'What the shelf said there was is not a number.' })
  onHand?: number;

  /** of kits: what goes back on the shelf as loose parts */
  @IsOptional()
  @Parts(() => LeftOverDto, 50, 'Of a kit 50 articles are left at most.')
  @Unique((left: LeftOverDto) => left.articleId, 'Each article counts once; add up its lines.')
  left?: LeftOverDto[];
}

export class SignOffDto {
  @IsCivilDay({ message: 'Give the day as a date that exists, such as 2027-05-13.' })
  doneOn!: string;

  /** what the meter showed */
  @IsMeterHours()
  shown!: number;

  @IsId({ message: 'Choose who did it.' })
  doneById!: string;

  @Min(0, { message: 'Minutes cannot be below 0.' })
  @Max(6000, { message: 'Keep the minutes within 6,000.' })
  @IsInt({ message: 'Give the minutes as a whole number.' })
  minutes!: number;

  @Parts(() => DrawDto, 100, 'A job draws 100 articles at most.')
  @Unique((draw: DrawDto) => draw.articleId, 'Each article counts once; add up its lines.')
  draws!: DrawDto[];

  /** what was drained into containers of waste */
  @IsOptional()
  @Parts(() => DrainedDto, WASTE_KEYS.length, 'Each container counts once.')
  @Unique((drained: DrainedDto) => drained.waste, 'Each container counts once; add up its litres.')
  drained?: DrainedDto[];

  /** defects that were mended */
  @IsOptional()
  @IsIds({
    message: 'Choose defects of the machine.',
    most: { count: 100, message: 'Choose 100 defects at most.' },
    once: 'Each defect counts once.',
  })
  mendedDefectIds?: string[];

  /** why a fluid was used that does not suit the machine; the crew lead alone may say so */
  @IsOptional()
  @IsText({ most: 200, message: 'Keep the reason within 200 letters.' })
  fluidReason?: string;

  @IsOptional()
  @IsText({ most: 1000, message: 'Keep the note within 1,000 letters.' })
  note?: string;

  @IsInt({ message: BASED_ON })
  version!: number;
}

export class DropJobDto {
  @IsInt({ message: BASED_ON })
  version!: number;
}

/** What somebody measured at a step without having seen what stands there. */
export class MeasuredBesideDto {
  by!: string;
  /** instant in which it was typed, ISO 8601 UTC */
  at!: string;
  found!: Found;
}

/** A step of a job that somebody touched. */
export class JobStepDto {
  key!: string;
  isDone!: boolean;
  isAcknowledged!: boolean;
  /** instant at which what passes by itself began, ISO 8601 UTC; null where it did not */
  startedAt!: string | null;
  found!: Found | null;
  /** what others measured there, who could not see it */
  others!: MeasuredBesideDto[];
  by!: string;
  version!: number;
}

/** A photo taken in a job. */
export class JobPhotoDto {
  id!: string;
  /** where it is shown */
  path!: string;
  caption!: string;
  by!: string;
}

/** Keeps a photo with a job. */
export class AddJobPhotoDto {
  @IsPhoto()
  jpeg!: string;

  @IsText({ most: 200, message: 'Keep the line beneath within 200 letters.' })
  caption!: string;
}

export class JobItemDto {
  itemId!: string;
  name!: string;
  /** null while nothing is said */
  outcome!: Outcome | null;
  untilLife!: number | null;
  untilMeter!: MeterName | null;
  untilOn!: string | null;
  severity!: Severity | null;
  /** the next one is left out, since this one came out clean */
  leavesOutNext!: boolean;
  /** whether the house rules allow that */
  mayLeaveOutNext!: boolean;
  note!: string;
  version!: number;
  minutes!: number;
  /** how the item stands now; null once the machine no longer has it */
  due!: DueLineDto | null;
}

/** An article proposed for a job or drawn by it. */
export class JobDrawDto {
  articleId!: string;
  name!: string;
  unit!: 'piece' | 'litre';
  quantity!: number;
  onHand!: number;
  priceMinor!: number;
  /** of a kit: what is left of it */
  left!: LeftOverDto[];
}

export const JOB_STATES = ['open', 'signedOff', 'dropped', 'voided'] as const;
export type JobState = (typeof JOB_STATES)[number];

/** One visit of one machine. */
export class JobDto {
  id!: string;
  machine!: MachineRefDto;
  state!: JobState;
  openedOn!: string;
  openedBy!: string;
  items!: JobItemDto[];
  /** the machine, the shop and the items that the sheet is composed from */
  setUp!: MachineSetUp;
  /** what its items take from the shelf */
  needs!: ItemNeedDto[];
  /** kits on the shelf that hold something of it */
  kits!: ShelvedKitDto[];
  /** the shed of the machine; null where sheds are not told apart */
  shed!: string | null;
  /** fluids that fit the machine */
  fluids!: FluidFitDto[];
  /** °C until the next change; null where that is not known */
  expected!: MonthTemperatures | null;
  /** steps that somebody touched */
  steps!: JobStepDto[];
  vessels!: VesselsDto;
  /** what it waits for; null while it is worked on */
  pausedReason!: string | null;
  /** open defects of the machine */
  defects!: DefectDto[];
  photos!: JobPhotoDto[];
  /** of what has to be opened on the machine */
  accessPhotos!: AccessPhotoDto[];
  /** what the last visits of the machine measured */
  earlier!: EarlierFinding[];
  /** what the meter showed last */
  lastShown!: number | null;
  /** what it should show by now; null while nothing is known of its use */
  expectedShown!: number | null;
  /** what an hour of the crew costs now, in minor units; null where labour is not reckoned */
  labourRateMinor!: number | null;
  version!: number;
  record!: RecordDto | null;
}

/** What became of an item, as a tick may change it. */
export class ItemProgressDto {
  itemId!: string;
  outcome!: Outcome | null;
  version!: number;
}

/** What a tick changes of a job: everything else of it stays as it was read. */
export class JobProgressDto {
  items!: ItemProgressDto[];
  /** steps that somebody touched */
  steps!: JobStepDto[];
  pausedReason!: string | null;
  version!: number;
}
