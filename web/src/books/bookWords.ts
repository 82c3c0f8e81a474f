import type { Action, ChartColumn, ChartMark, MeterName } from '@yugator/core';
import { lengthWords } from '../schedule/triggerWords.js';
import type { Consequence } from '@yugator/core';
import { intervalWords } from '../words/figures.js';

export const ACTION_WORDS: Record<Action, string> = {
  replace: 'Replace',
  clean: 'Clean',
  inspect: 'Look at',
  grease: 'Grease',
  sharpen: 'Sharpen',
  adjust: 'Adjust',
  tighten: 'Tighten',
  charge: 'Charge',
};

export const METER_WORDS: Record<MeterName, string> = {
  engine: 'Engine',
  loader: 'Loader',
  deck: 'Deck',
  blower: 'Blower',
  blade: 'Blade',
};

export const MARK_WORDS: Record<ChartMark, string> = { first: '1st', every: 'every' };

/** The head of a column: "50 h", "a year". */
export function columnWords(column: ChartColumn): string {
  return column.kind === 'hours'
    ? `${intervalWords(column.hours)} h`
    : lengthWords(column.count, column.unit);
}

/** What lateness of a line costs. */
export const CONSEQUENCE_WORDS: Record<Consequence, string> = {
  ruin: 'Ruin: it can wreck the machine or hurt somebody',
  wear: 'Wear: parts wear faster, the work gets worse',
  care: 'Care: grease, cleaning, pressures, looks',
};
