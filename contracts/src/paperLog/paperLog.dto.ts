import { IsCivilDay, IsIds, IsMeterHours, IsText, Parts } from '../rules/index.js';

/** Rows of one writing; a thicker log is taken over in parts. */
export const MOST_PAPER_ROWS = 200;

/** A past service as the paper has it. */
export class PaperRowDto {
  @IsCivilDay({ message: 'Give the day as a date that exists, such as 2026-05-12.' })
  doneOn!: string;

  /** life hours then */
  @IsMeterHours()
  life!: number;

  /** lines that were done */
  @IsIds({
    message: 'Choose lines of the machine.',
    least: { count: 1, message: 'Tick at least one line.' },
    most: { count: 100, message: 'A row takes 100 lines at most.' },
    once: 'Each line counts once.',
  })
  itemIds!: string[];

  /** such as who did it, or where the paper is */
  @IsText({ most: 300, message: 'Keep the note within 300 letters.' })
  note!: string;
}

/** Takes over a machine's past services from paper: all of them, or none. */
export class KeepPaperLogDto {
  @Parts(() => PaperRowDto, MOST_PAPER_ROWS, `Keep ${MOST_PAPER_ROWS} rows at a time at most.`)
  rows!: PaperRowDto[];
}

/** What was taken over. */
export class PaperLogKeptDto {
  kept!: number;
}

/** A day on which the life hours are known. */
export class KnownLifeDto {
  /** civil date */
  on!: string;
  life!: number;
}
