import { IsOptional } from 'class-validator';
import { IsRows } from '../rules/rows.js';
import { IsText } from '../rules/index.js';

/** What of the shelf is read and written as lists. */
export const SHELF_LISTS = ['articles', 'prices', 'kits', 'fits'] as const;
export type ShelfList = (typeof SHELF_LISTS)[number];

/** Lines of a list at most, the headings beside them. */
export const MOST_LIST_LINES = 10_000;

/** A list of the shelf as rows of cells, the headings first. */
export class ShelfRowsDto {
  rows!: string[][];
}

/** A list to take in. */
export class TakeListDto {
  @IsRows({
    rows: MOST_LIST_LINES + 1,
    cells: 60,
    longest: 4_000,
    message: 'Send at most 10,000 lines of 60 cells with 4,000 letters each. Part a longer list in two.',
  })
  rows!: string[][];

  /** what the list was shown to do; left out, it is shown and nothing is written */
  @IsOptional()
  @IsText({ most: 100, message: 'Look at what the list does, and take it in from there.' })
  shown?: string;
}

/** What comes of a line: something new, a change, nothing, or that it cannot be read. */
export type ListDoes = 'new' | 'change' | 'same' | 'fault';

/** A column that a line changes. */
export class ListChangeDto {
  heading!: string;
  from!: string;
  to!: string;
}

/** What comes of a line of a list. */
export class ListLineDto {
  /** as a spreadsheet counts its rows: the headings are 1 */
  line!: number;
  does!: ListDoes;
  /** what it is about; '' where that cannot be told */
  subject!: string;
  changes!: ListChangeDto[];
  /** what is wrong with it, in sentences */
  faults!: string[];
}

/** What comes of a list, or came of it. */
export class ListResultDto {
  /** the lines that do something or are at fault, in their order */
  lines!: ListLineDto[];
  /** how many lines do what */
  counts!: Record<ListDoes, number>;
  /** to be sent back when exactly this is to be written */
  shown!: string;
  written!: boolean;
}
