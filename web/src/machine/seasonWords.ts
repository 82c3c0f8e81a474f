import type { MachineDto } from '@yugator/contracts';
import { dayWords } from '../words/dates.js';
import { STATUS_WORDS } from './classWords.js';

const DAY_MS = 86_400_000;
/** A working time that lasts longer than this has no end worth naming. */
const ALL_YEAR_DAYS = 370;

/** Where a machine stands in its seasons, or why it does not: "working until 24 Oct", "laid up until 6 Apr". */
export function seasonWords({ working, status, statusSince }: MachineDto, today: string): string {
  if (status !== 'inService') {
    return `${STATUS_WORDS[status]}${statusSince ? ` since ${dayWords(statusSince, today)}` : ''}`;
  }
  switch (working.kind) {
    case 'unplanned':
      return 'no season planned';
    case 'working': {
      const days = working.until ? (Date.parse(working.until) - Date.parse(today)) / DAY_MS : Infinity;
      return days > ALL_YEAR_DAYS
        ? 'works all year'
        : `working until ${dayWords(working.until ?? today, today)}`;
    }
    case 'laidUp':
      return working.until ? `laid up until ${dayWords(working.until, today)}` : 'laid up';
  }
}
