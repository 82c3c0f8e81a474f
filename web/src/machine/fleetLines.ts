import type { FleetLineDto } from '@yugator/contracts';
import { compareStates, compareUrgency } from '@yugator/core';
import type { DueState, Urgency } from '@yugator/core';

export const ALL = 'all';

/** Which lines of the schedule are shown. */
export interface LineFilter {
  readonly words: string;
  readonly state: DueState | typeof ALL;
  readonly shed: string;
}

export const SORTS = {
  worst: 'Worst first',
  date: 'By expected date',
  tag: 'By machine',
  item: 'By item',
} as const;
export type Sort = keyof typeof SORTS;

function compareText(a: string | null, b: string | null): number {
  if (a === b) return 0;
  if (a === null || b === null) return a === null ? 1 : -1;
  return a < b ? -1 : 1;
}

function urgencyOfLine({ state, consequence, limit, expectedOn }: FleetLineDto): Urgency {
  return { state, consequence, used: limit?.used ?? 1, expectedOn };
}

const COMPARE: Record<Sort, (a: FleetLineDto, b: FleetLineDto) => number> = {
  worst: (a, b) => compareUrgency(urgencyOfLine(a), urgencyOfLine(b)) || compareText(a.tag, b.tag),
  date: (a, b) => compareText(a.expectedOn, b.expectedOn),
  tag: (a, b) => compareText(a.tag, b.tag) || compareStates(a.state, b.state),
  item: (a, b) => compareText(a.itemName, b.itemName) || compareText(a.tag, b.tag),
};

/** Whether a line has every word that was typed, in whatever order. */
function hasWords(line: FleetLineDto, words: readonly string[]): boolean {
  const text =
    `${line.tag} ${line.machineName} ${line.itemName} ${line.bookName ?? ''} ${line.shed}`.toLowerCase();
  return words.every((word) => text.includes(word));
}

/** The lines that pass the filter, in the chosen order. */
export function chosenLines(lines: readonly FleetLineDto[], filter: LineFilter, sort: Sort): FleetLineDto[] {
  const words = filter.words.toLowerCase().split(/\s+/).filter(Boolean);
  return lines
    .filter(
      (line) =>
        (filter.state === ALL || line.state === filter.state) &&
        (filter.shed === ALL || line.shed === filter.shed) &&
        hasWords(line, words),
    )
    .sort(COMPARE[sort]);
}
