import type { TodayDto, TodayMachineDto } from '@yugator/contracts';
import { longDayWords } from '../words/dates.js';
import { countWords } from '../words/figures.js';

const NUMBERS = [
  'No',
  'One',
  'Two',
  'Three',
  'Four',
  'Five',
  'Six',
  'Seven',
  'Eight',
  'Nine',
  'Ten',
  'Eleven',
  'Twelve',
];

function inWords(count: number): string {
  return NUMBERS[count] ?? String(count);
}

function countOf(machines: readonly TodayMachineDto[], state: TodayMachineDto['state']): number {
  return machines.filter((machine) => machine.state === state).length;
}

/** The news of the day: "Tuesday 13 May. Two machines are overdue." */
export function headline({ today, machines }: TodayDto): string {
  const overdue = countOf(machines, 'overdue');
  const news =
    overdue === 0
      ? 'Nothing is overdue.'
      : `${inWords(overdue)} ${overdue === 1 ? 'machine is' : 'machines are'} overdue.`;
  return `${longDayWords(today)}. ${news}`;
}

/** What else there is, in one line. */
export function underline({ machines, stale, rounds }: TodayDto): string {
  const ripe = countOf(machines, 'ripe');
  const unknown = countOf(machines, 'noRecord');
  const parts = [
    ripe ? `${countWords(ripe, 'machine')} ripe for service` : '',
    unknown ? `${countWords(unknown, 'machine')} with items nobody has on record` : '',
    rounds.length ? `${countWords(rounds.length, 'walk-round')} wait${rounds.length === 1 ? 's' : ''}` : '',
    stale.length ? `${countWords(stale.length, 'meter')} not read in time` : '',
  ].filter(Boolean);
  return parts.length ? `${parts.join('; ')}.` : 'No meter is stale and every item is on record.';
}
