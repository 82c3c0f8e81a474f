import {
  columnFilteringFeature,
  createColumnHelper,
  createFilteredRowModel,
  createSortedRowModel,
  globalFilteringFeature,
  rowSortingFeature,
  tableFeatures,
  useTable,
} from '@tanstack/react-table';
import type { FleetLineDto } from '@yugator/contracts';
import { compareStates, compareUrgency } from '@yugator/core';
import type { DueState, Urgency } from '@yugator/core';
import { useMemo } from 'react';

export const ALL = 'all';

/** Which lines of the schedule are shown. */
export interface LineFilter {
  readonly words: string;
  readonly state: DueState | typeof ALL;
  readonly shed: string;
}

/** The columns of the schedule; each has an order of its own. */
export const COLUMNS = { tag: 'Tag', item: 'Item', state: 'State', due: 'Due', shed: 'Shed' } as const;
export type ColumnId = keyof typeof COLUMNS;

/** By which column, and whether backwards. */
export interface LineOrder {
  readonly id: ColumnId;
  readonly desc: boolean;
}

export const WORST_FIRST: LineOrder = { id: 'state', desc: false };

/** What is not known stands last. */
function compareText(a: string | null, b: string | null): number {
  if (a === b) return 0;
  if (a === null || b === null) return a === null ? 1 : -1;
  return a < b ? -1 : 1;
}

function urgencyOfLine({ state, consequence, limit, expectedOn }: FleetLineDto): Urgency {
  return { state, consequence, used: limit?.used ?? 1, expectedOn };
}

type Compare = (a: FleetLineDto, b: FleetLineDto) => number;

const byTag: Compare = (a, b) => compareText(a.tag, b.tag) || compareStates(a.state, b.state);
const COMPARE: Record<ColumnId, Compare> = {
  tag: byTag,
  item: (a, b) => compareText(a.itemName, b.itemName) || compareText(a.tag, b.tag),
  state: (a, b) => compareUrgency(urgencyOfLine(a), urgencyOfLine(b)) || compareText(a.tag, b.tag),
  due: (a, b) => compareText(a.expectedOn, b.expectedOn),
  shed: (a, b) => compareText(a.shed, b.shed) || byTag(a, b),
};

/** The line itself, for every column: what is shown and what is compared is more than one text. */
const helper = createColumnHelper<typeof FEATURES, FleetLineDto>();
const FEATURES = tableFeatures({
  rowSortingFeature,
  columnFilteringFeature,
  globalFilteringFeature,
  sortedRowModel: createSortedRowModel(),
  filteredRowModel: createFilteredRowModel(),
});

function column(id: ColumnId, textOf: (line: FleetLineDto) => string) {
  return helper.accessor(textOf, {
    id,
    header: COLUMNS[id],
    sortFn: (a, b) => COMPARE[id](a.original, b.original),
    filterFn: (row, _id, wanted: string) => textOf(row.original) === wanted,
  });
}

const DEFINITIONS = helper.columns([
  column('tag', ({ tag }) => tag),
  column('item', ({ itemName }) => itemName),
  column('state', ({ state }) => state),
  column('due', ({ expectedOn }) => expectedOn ?? ''),
  column('shed', ({ shed }) => shed),
]);

/** Whether a line has every word that was typed, in whatever order. */
function hasWords(line: FleetLineDto, typed: string): boolean {
  const text =
    `${line.tag} ${line.machineName} ${line.itemName} ${line.bookName ?? ''} ${line.shed}`.toLowerCase();
  return typed
    .toLowerCase()
    .split(/\s+/)
    .every((word) => text.includes(word));
}

/** The lines that pass the filter, in the chosen order. */
export function useChosenLines(
  lines: readonly FleetLineDto[],
  { words, state, shed }: LineFilter,
  order: LineOrder,
): readonly FleetLineDto[] {
  const columnFilters = useMemo(
    () => Object.entries({ state, shed }).flatMap(([id, value]) => (value === ALL ? [] : [{ id, value }])),
    [state, shed],
  );
  const table = useTable({
    features: FEATURES,
    columns: DEFINITIONS,
    data: lines,
    globalFilterFn: (row, _id, typed: string) => hasWords(row.original, typed),
    state: { sorting: [order], columnFilters, globalFilter: words.trim() },
  });
  return table.getRowModel().rows.map(({ original }) => original);
}
