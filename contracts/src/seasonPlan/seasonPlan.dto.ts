import { ANNUAL_RULES } from '@yugator/core';
import type {
  AnnualRule,
  CardState,
  Component,
  DueState,
  PlannerInstance,
  Severity,
  Trouble,
} from '@yugator/core';
import { ArrayNotEmpty, IsBoolean, IsIn, IsInt, IsOptional } from 'class-validator';
import { Type } from 'class-transformer';
import { MachineRefDto } from '../machine/machine.dto.js';
import { IsCivilDay, IsId, IsTexts, Parts, Unique } from '../rules/index.js';

/** Weeks that are planned at once. */
export const PLAN_WEEKS = [4, 8, 12, 26] as const;
/** Beyond so many a plan is an outlook: its days stand for their weeks, and nobody is told of it. */
export const DAILY_WEEKS = 12;
export type PlanWeeks = (typeof PLAN_WEEKS)[number];

export class SeasonPlanQueryDto {
  @IsOptional()
  @Type(() => Number)
  @IsIn(PLAN_WEEKS, { message: `Plan ${PLAN_WEEKS.join(', ')} weeks.` })
  weeks?: PlanWeeks;

  /** the plan as if the house did the yearly service then; left out: as it does */
  @IsOptional()
  @IsIn(ANNUAL_RULES, { message: `The yearly service is one of ${ANNUAL_RULES.join(', ')}.` })
  annual?: AnnualRule;
}

/** Work that may be planned: a line of the machine's books, or an open defect that is to be mended. */
export class PlannedItemDto {
  id!: string;
  /** of a defect: to mend it, in its words */
  name!: string;
  /** of a defect; null of a line */
  severity!: Severity | null;
  /** of a defect: overdue from the day after it was to be mended, coming until then */
  state!: DueState;
  /** civil date; null where nobody knows */
  expectedOn!: string | null;
  components!: Component[];
  /** ordered articles that it waits for, by name */
  waitsFor!: string[];
}

/** A machine of the plan, in the order of the instance. */
export class PlannedMachineDto {
  id!: string;
  tag!: string;
  name!: string;
  /** in the order of the instance's items */
  items!: PlannedItemDto[];
}

/** A visit of one machine on one workshop day. */
export class VisitCardFieldsDto {
  @IsId({ message: 'The machine is missing.' })
  machineId!: string;

  @IsCivilDay({ message: 'Give the day as a date that exists.' })
  on!: string;

  @ArrayNotEmpty({ message: 'A visit does at least one thing.' })
  @IsTexts({
    most: { count: 100, message: 'A visit does 100 things at most.' },
    longest: 36,
    message: 'Name the lines that are done.',
  })
  /** of planned items: lines and defects */
  itemIds!: string[];

  /** stays on its day whatever is planned */
  @IsBoolean({ message: 'Say whether it is locked.' })
  isLocked!: boolean;
}

/** A card that the crew was told of. */
export class VisitCardDto extends VisitCardFieldsDto {
  /** of all hands */
  minutes!: number;
  state!: CardState;
}

const SAME_DAY = ({ machineId, on }: VisitCardFieldsDto) => `${machineId} ${on}`;

/** Cards under whose locks the server plans. */
export class ProposePlanDto {
  @Unique(SAME_DAY, 'This machine has a visit on that day already.')
  @Parts(() => VisitCardFieldsDto, 2_000, 'Plan with 2,000 cards at most.')
  cards!: VisitCardFieldsDto[];

  /** left out: twelve */
  @IsOptional()
  @IsIn(PLAN_WEEKS, { message: `Plan ${PLAN_WEEKS.join(', ')} weeks.` })
  weeks?: PlanWeeks;
}

/** Cards that are judged. */
export class JudgePlanDto {
  @Unique(SAME_DAY, 'This machine has a visit on that day already.')
  @Parts(() => VisitCardFieldsDto, 2_000, 'Judge 2,000 cards at most.')
  cards!: VisitCardFieldsDto[];
}

/** A line of a card that is past its limit when it is done. */
export class LateLineDto {
  machine!: MachineRefDto;
  /** civil date */
  on!: string;
  line!: string;
  /** past its limits, on the meter that they count on; 0 where it is not */
  hours!: number;
  days!: number;
}

export class PlanJudgementDto {
  /** the most hours first */
  late!: LateLineDto[];
}

/** A plan that the server made. */
export class PlanProposalDto {
  cards!: VisitCardFieldsDto[];
  /** what it comes to, and below what no plan comes, in minutes of a mechanic or what is worth as much */
  cost!: number;
  bound!: number;
  /** instant */
  madeAt!: string;
  /** of the published plan against which it was made */
  version!: number;
}

export class WeeklyProposalDto {
  /** null where there is none for this week, or another plan was published meanwhile */
  proposal!: PlanProposalDto | null;
}

/** All cards from today on, in place of those that were published. */
export class PublishPlanDto {
  @Unique(SAME_DAY, 'This machine has a visit on that day already.')
  @Parts(() => VisitCardFieldsDto, 2_000, 'Publish 2,000 cards at most.')
  cards!: VisitCardFieldsDto[];

  @IsInt({ message: 'The version that the plan is based on is missing.' })
  version!: number;
}

/** Why the published plan no longer holds. */
export class PlanTroubleDto {
  kind!: Trouble['kind'];
  /** null of a day that is too full */
  machine!: MachineRefDto | null;
  /** civil date; null of work that is on no card */
  on!: string | null;
  /** the work it is about, by name */
  lines!: string[];
}

export class PlanTroublesDto {
  troubles!: PlanTroubleDto[];
}

/** A week of the coming year: minutes of all hands that are asked for, with their range, and that there are. */
export class LoadWeekDto {
  /** civil date of its first day */
  from!: string;
  minutes!: number;
  low!: number;
  expected!: number;
  high!: number;
}

/** Weeks in which more is asked of the workshop than there is time for. */
export class ShortageDto {
  /** civil dates: the first day, and the last of the worst week */
  from!: string;
  until!: string;
  /** of all hands, that are missing */
  minutes!: number;
  /** civil date: whoever begins then has time enough; null where even from today on there is not */
  beginOn!: string | null;
  /** that would have to be done elsewhere instead */
  machines!: MachineRefDto[];
}

/** The coming year of one machine, week by week. */
export class MachineYearDto {
  machine!: MachineRefDto;
  /** that it asks of the workshop in each week, if it comes when something is due */
  minutes!: number[];
  /** in each week */
  isAtRest!: boolean[];
}

/** What is asked of the workshop in the coming year. */
export class LoadAheadDto {
  weeks!: LoadWeekDto[];
  /** by tag */
  machines!: MachineYearDto[];
  shortages!: ShortageDto[];
}

/** What is published, and all that a plan is made from. */
export class SeasonPlanDto {
  /** civil date at the site: day 0 of the instance */
  today!: string;
  weeks!: PlanWeeks;
  instance!: PlannerInstance;
  machines!: PlannedMachineDto[];
  /** from a fortnight ago on, in the order of their days */
  cards!: VisitCardDto[];
  /** of an hour, in minor units; null where nobody said */
  labourRateMinor!: number | null;
  /** instant; null before the first */
  publishedAt!: string | null;
  publishedBy!: string | null;
  version!: number;
}
