import type {
  CodeSize,
  CountPartDto,
  JobDto,
  MachineCodeDto,
  MachineDto,
  Paper,
  RecordDto,
  ServiceLabelDto,
  ShelfLabelDto,
} from '@yugator/contracts';
import type { CivilDate, UnitSystem } from '@yugator/core';

/** A paper to print, with all that stands on it; it crosses between threads as plain data. */
export type PaperTask =
  | { readonly kind: 'jobSheet'; readonly paper: Paper; readonly job: JobDto; readonly units: UnitSystem }
  | {
      readonly kind: 'labels';
      readonly paper: Paper;
      readonly labels: ServiceLabelDto[];
      readonly from: number;
    }
  | {
      readonly kind: 'codes';
      readonly paper: Paper;
      readonly size: CodeSize;
      readonly codes: MachineCodeDto[];
      readonly from: number;
    }
  | {
      readonly kind: 'shelfLabels';
      readonly paper: Paper;
      readonly labels: ShelfLabelDto[];
      readonly from: number;
    }
  | {
      readonly kind: 'count';
      readonly paper: Paper;
      readonly parts: CountPartDto[];
      readonly today: CivilDate;
      readonly units: UnitSystem;
    }
  | {
      readonly kind: 'record';
      readonly paper: Paper;
      readonly machine: MachineDto;
      readonly records: RecordDto[];
      readonly today: CivilDate;
      readonly units: UnitSystem;
    };
