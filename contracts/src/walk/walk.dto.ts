import { STANDING_LOOKS } from '@yugator/core';
import { IsIn, IsOptional } from 'class-validator';
import { DefectDto, SEVERITIES } from '../defect/defect.dto.js';
import type { Severity } from '../defect/defect.dto.js';
import { MachineRefDto } from '../machine/machine.dto.js';
import type { MachineClass } from '../machine/machineClass.js';
import { IsId, IsIds, IsMeterHours, IsPhoto, IsText, Parts, Unique } from '../rules/index.js';
import { FluidTakenDto, PouredDto } from '../topUp/topUp.dto.js';
import { DueLineDto } from '../schedule/due.dto.js';

/** What a walk round a machine looks at. */
export class WalkDto {
  machine!: MachineRefDto;
  machineClass!: MachineClass;
  /** what the meter showed last; null where it was never read */
  lastShown!: number | null;
  /** what it should show by now; null while nothing is known of its use */
  expectedShown!: number | null;
  /** everyday work that is due or falls due by tomorrow, worst first */
  lines!: DueLineDto[];
  /** what it takes, those of its card first */
  fluids!: FluidTakenDto[];
}

/** Where something was found: at a line of the walk, or at the standing look. */
export class FoundAtDto {
  /** left out or null where it was the standing look */
  @IsOptional()
  @IsId({ message: 'Choose a line of the walk.' })
  itemId?: string | null;

  /** left out or null where it was a line */
  @IsOptional()
  @IsIn(STANDING_LOOKS.map(({ key }) => key), { message: 'Choose what is looked at from the list.' })
  look?: string | null;
}

/** Something that is not well. */
export class NotWellDto extends FoundAtDto {
  @IsText({ least: 3, most: 300, message: 'Say in 3 to 300 letters what is wrong.' })
  words!: string;

  @IsIn(SEVERITIES, { message: 'Say how bad it is: watch it, mend it soon, or not to be used.' })
  severity!: Severity;

  /** a photo of it, in base64 */
  @IsOptional()
  @IsPhoto()
  jpeg?: string;
}

/** Something that was not well, and was put right on the spot: a line that was counts as done. */
export class PutRightNowDto extends FoundAtDto {
  @IsText({ least: 3, most: 200, message: 'Say in 3 to 200 letters what was done.' })
  words!: string;
}

/** Keeps a walk round: what the meter shows, and that all is well but what is named. */
export class KeepWalkDto {
  /** what the meter shows */
  @IsMeterHours()
  shown!: number;

  /** lines that were looked at and done */
  @IsIds({
    message: 'Choose lines of the walk.',
    most: { count: 100, message: 'A walk takes 100 lines at most.' },
    once: 'Each line counts once.',
  })
  itemIds!: string[];

  @Parts(() => NotWellDto, 30, 'Keep 30 things that are not well at most.')
  notWell!: NotWellDto[];

  /** what was put right on the spot */
  @IsOptional()
  @Parts(() => PutRightNowDto, 30, 'Keep 30 things that were put right at most.')
  putRight?: PutRightNowDto[];

  /** what was filled up */
  @IsOptional()
  @Parts(() => PouredDto, 10, 'Keep 10 top-ups at most.')
  @Unique((poured: PouredDto) => poured.component, 'Each fluid counts once; add up what was poured.')
  toppedUp?: PouredDto[];
}

/** What a walk round kept. */
export class WalkKeptDto {
  /** of its record */
  jobId!: string;
  defects!: DefectDto[];
}
