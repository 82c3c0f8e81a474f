import type { BookDto, BookFieldsDto } from '@yugator/contracts';
import { columnsOf, compareColumns, lineComponents, rowOf, triggersOfRow } from '@yugator/core';
import type {
  Action,
  ChartColumn,
  ChartMark,
  Component,
  Consequence,
  MeterName,
  Trigger,
  WorkPlace,
} from '@yugator/core';

/** A line of a book as it is entered: its marks in the columns, and the rules that no column holds. */
export interface DraftLine {
  /** stays with the line while the book is open */
  readonly key: string;
  readonly id: string | null;
  readonly name: string;
  readonly action: Action;
  readonly components: readonly Component[];
  /** what an older version called it, until components are chosen */
  readonly oldWords: string;
  readonly minutes: string;
  readonly marks: readonly (ChartMark | null)[];
  readonly others: readonly Trigger[];
  readonly renews: readonly string[];
  readonly reference: string;
  readonly note: string;
  readonly windowHours: number | null;
  readonly windowDays: number | null;
  readonly consequence: Consequence | null;
  readonly doneIn: WorkPlace | null;
}

/** A book as it is entered. */
export interface BookDraft {
  readonly name: string;
  readonly machineClass: BookFieldsDto['machineClass'];
  readonly meter: MeterName;
  readonly columns: readonly ChartColumn[];
  readonly lines: readonly DraftLine[];
}

/** A draft that was read, or every fault with its line. */
export type BookRead = { readonly draft: BookDraft } | { readonly faults: readonly string[] };

const FIRST_COLUMNS: readonly ChartColumn[] = [
  ...[25, 50, 100, 200].map((hours) => ({ kind: 'hours', hours }) as const),
  { kind: 'calendar', count: 12, unit: 'month' },
];

export function emptyLine(columns: number, key: string): DraftLine {
  return {
    key,
    id: null,
    name: '',
    action: 'replace',
    components: [],
    oldWords: '',
    minutes: '15',
    marks: Array.from({ length: columns }, () => null),
    others: [],
    renews: [],
    reference: '',
    note: '',
    windowHours: null,
    windowDays: null,
    consequence: null,
    doneIn: null,
  };
}

export function emptyBook(): BookDraft {
  return {
    name: '',
    machineClass: 'ridingMower',
    meter: 'engine',
    columns: FIRST_COLUMNS,
    lines: [emptyLine(FIRST_COLUMNS.length, 'new-0')],
  };
}

/** A book as a chart. */
export function draftOf(book: BookDto): BookDraft {
  const triggers = book.items.flatMap((item) => item.triggers);
  const columns = columnsOf(triggers, book.meter);
  return {
    name: book.name,
    machineClass: book.machineClass,
    meter: book.meter,
    columns,
    lines: book.items.map((item) => {
      const { row, others } = rowOf(columns, item.triggers, book.meter);
      const { id, name, action, renews, reference, note } = item;
      return {
        key: id,
        id,
        name,
        action,
        ...lineComponents(item),
        renews,
        reference,
        note,
        marks: row,
        minutes: String(item.minutes),
        others,
        windowHours: item.windowHours ?? null,
        windowDays: item.windowDays ?? null,
        consequence: item.consequence ?? null,
        doneIn: item.doneIn ?? null,
      };
    }),
  };
}

/** What the marks and rules of a line mean. */
export function triggersOf(
  line: DraftLine,
  { columns, meter }: Pick<BookDraft, 'columns' | 'meter'>,
): Trigger[] {
  return [...triggersOfRow(columns, line.marks, meter), ...line.others];
}

/** The book as it is sent. */
export function fieldsOf(draft: BookDraft): BookFieldsDto {
  return {
    name: draft.name.trim(),
    machineClass: draft.machineClass,
    meter: draft.meter,
    items: draft.lines.map((line) => {
      const { id, name, action, components, oldWords, renews, reference, note } = line;
      const { windowHours, windowDays, consequence, doneIn } = line;
      return {
        ...(id === null ? {} : { id }),
        name: name.trim(),
        action,
        components: [...components],
        ...(components.length ? {} : { component: oldWords }),
        renews: [...renews],
        reference,
        note,
        windowHours,
        windowDays,
        consequence,
        doneIn,
        triggers: triggersOf(line, draft),
        minutes: /^\d+$/.test(line.minutes.trim()) ? Number(line.minutes) : NaN,
      };
    }),
  };
}

const COLUMN = /^(\d+(?:[.,]\d+)?)\s*(h|hours?|d|days?|w|weeks?|m|months?|y|years?)?$/i;

/** A column as it is typed: "50", "50 h", "7 d", "6 m", "1 y"; null for anything else. */
export function parseColumn(text: string): ChartColumn | null {
  const parts = COLUMN.exec(text.trim());
  const figure = Number(parts?.[1]?.replace(',', '.'));
  if (!parts || !(figure > 0)) return null;
  const unit = (parts[2] ?? 'h').charAt(0).toLowerCase();
  if (unit === 'h') return { kind: 'hours', hours: figure };
  if (!Number.isInteger(figure)) return null;
  if (unit === 'd' || unit === 'w')
    return { kind: 'calendar', count: figure * (unit === 'w' ? 7 : 1), unit: 'day' };
  return { kind: 'calendar', count: figure * (unit === 'y' ? 12 : 1), unit: 'month' };
}

/** The draft with a column more, in its place; as it is where it has that column already. */
export function withColumn(draft: BookDraft, column: ChartColumn): BookDraft {
  if (draft.columns.some((known) => compareColumns(known, column) === 0)) return draft;
  const columns = [...draft.columns, column].sort(compareColumns);
  const place = columns.indexOf(column);
  const lines = draft.lines.map((line) => ({ ...line, marks: line.marks.toSpliced(place, 0, null) }));
  return { ...draft, columns, lines };
}

export function withoutColumn(draft: BookDraft, place: number): BookDraft {
  return {
    ...draft,
    columns: draft.columns.toSpliced(place, 1),
    lines: draft.lines.map((line) => ({ ...line, marks: line.marks.toSpliced(place, 1) })),
  };
}

/** The mark after this one, as a cell is pressed: every, first, none. */
export function nextMark(mark: ChartMark | null): ChartMark | null {
  return mark === null ? 'every' : mark === 'every' ? 'first' : null;
}
