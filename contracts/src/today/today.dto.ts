import type { Component, DueState, MeterName, Thirst } from '@yugator/core';
import { DefectDto } from '../defect/defect.dto.js';
import { MachineRefDto } from '../machine/machine.dto.js';
import { DueLineDto } from '../schedule/due.dto.js';

/** A machine on Today. */
export class TodayMachineDto extends MachineRefDto {
  state!: DueState;
  life!: number;
  /** hours a week at present; null while unknown */
  hoursPerWeek!: number | null;
  /** work of a visit that bites or comes, worst first; what is fine is only counted */
  lines!: DueLineDto[];
  /** items that are fine or resting */
  fine!: number;
  isOutOfService!: boolean;
  /** the open job, where there is one */
  openJobId!: string | null;
}

/** A machine whose meter has not been read for too long. */
export class StaleMeterDto extends MachineRefDto {
  meter!: MeterName;
  days!: number;
  /** life hours at the last reading */
  life!: number;
}

/** An article that is out or below what should be on hand. */
export class ShortArticleDto {
  id!: string;
  name!: string;
  unit!: 'piece' | 'litre';
  onHand!: number;
  leastOnHand!: number;
}

/** A machine with everyday work that waits. */
export class WaitingRoundDto extends MachineRefDto {
  life!: number;
  /** lines that wait, worst first */
  lines!: WaitingLineDto[];
}

/** A line of everyday work that waits. */
export class WaitingLineDto {
  itemId!: string;
  itemName!: string;
  state!: DueState;
}

/** A machine that takes more of a fluid than it used to, or than its card allows. */
export class ThirstyMachineDto extends MachineRefDto {
  component!: Component;
  thirst!: Thirst;
  /** litres per 100 h, over the latest two top-ups */
  latest!: number;
  usual!: number | null;
  allowed!: number | null;
}

/** Work of visits in the whole fleet by state. */
export class TodayCountsDto {
  machines!: number;
  overdue!: number;
  noRecord!: number;
  ripe!: number;
  coming!: number;
}

/** A visit that is planned for today or tomorrow. */
export class NextVisitDto {
  machine!: { id: string; tag: string; name: string };
  /** civil date */
  on!: string;
  minutes!: number;
  /** of lines of books */
  itemIds!: string[];
  /** names of the lines, and of the defects that are mended */
  lines!: string[];
  /** the job that is open on its machine */
  openJobId!: string | null;
  /** its work, or some of it, was done, from a week before its day on */
  isDone!: boolean;
}

/** What bites now. */
export class TodayDto {
  /** civil date at the site */
  today!: string;
  /** worst first; the machines beyond the first hundred are only counted */
  machines!: TodayMachineDto[];
  /** machines that are not listed */
  more!: number;
  counts!: TodayCountsDto;
  /** what is planned for today and tomorrow */
  visits!: NextVisitDto[];
  /** machines with everyday work that waits, by their tags */
  rounds!: WaitingRoundDto[];
  /** walk-rounds that wait and are not listed */
  moreRounds!: number;
  /** machines that the caller reads and walks round, most often first */
  own!: string[];
  /** what the caller reported of late, latest first, mended or not */
  reported!: DefectDto[];
  thirsty!: ThirstyMachineDto[];
  stale!: StaleMeterDto[];
  /** open defects, worst first */
  defects!: DefectDto[];
  short!: ShortArticleDto[];
}
