import type { BaselineDto, DueLineDto, LimitDto } from '@yugator/contracts';
import { dayWords, nearDayWords } from '../words/dates.js';
import { countWords, hoursWords } from '../words/figures.js';
import { overWords, triggerWords } from './triggerWords.js';

/** How a limit stands: "6.2 h over 50 h", "in 3.4 h, about 14 May", "by 20 May", "due now". */
export function limitWords(limit: LimitDto, today: string): string {
  const { rule, left } = limit;
  if (limit.kind === 'hours') {
    if (left < 0) return `${hoursWords(-left)} h ${overWords(rule)}`;
    if (left === 0) return `due now, ${triggerWords(rule)}`;
    const about = limit.expectedOn
      ? `, about ${nearDayWords(limit.expectedOn, today).replace(/^on /, '')}`
      : '';
    return `in ${hoursWords(left)} ${limit.meter === 'engine' || limit.meter === null ? '' : `${limit.meter} `}h${about}`;
  }
  if (limit.overdue) {
    return left < 0
      ? `${countWords(-left, 'day')} ${overWords(rule)}`
      : `due since today, ${overWords(rule)}`;
  }
  if (left === 0) return `due today, ${triggerWords(rule)}`;
  return `by ${nearDayWords(limit.on ?? today, today).replace(/^on /, '')}`;
}

/** The days within which an item is expected to fall due: "between 9 and 22 May"; empty where the day is certain or unknown. */
export function rangeWords(
  { earlyOn, lateOn }: Pick<DueLineDto, 'earlyOn' | 'lateOn'>,
  today: string,
): string {
  if (earlyOn === null || lateOn === null || earlyOn === lateOn) return '';
  return `between ${dayWords(earlyOn, today)} and ${dayWords(lateOn, today)}`;
}

type Unresolved = DueLineDto['unresolved'][number];

/** Why a trigger gives no limit though it should, and the way out. */
function unresolvedReason({ code }: Unresolved): string {
  switch (code) {
    case 'noSeason':
      return 'no such season is planned, so this rule cannot count';
    case 'noOtherItem':
      return 'the item it goes with is not on record here, so this rule cannot count';
    case 'noMeter':
      return 'give the share or the meter of the attachment under Details';
  }
}

/** What is the matter with triggers that give no limit. */
export function unresolvedWords(line: DueLineDto): string[] {
  return line.unresolved.map((each) => `${triggerWords(each.trigger)}: ${unresolvedReason(each)}`);
}

/** From where the interval counts: "last done 12 May at 212.4 h". */
export function baselineWords({ kind, on, life }: BaselineDto, today: string): string {
  if (on === null || life === null) return 'say when it was last done';
  const point = `${dayWords(on, today)} at ${hoursWords(life)} h`;
  switch (kind) {
    case 'completion':
      return `last done ${point}`;
    case 'declared':
      return `last done ${point}, as declared`;
    case 'enteredService':
      return `new on ${point}`;
    case 'noRecord':
      return 'say when it was last done';
  }
}

/** What is wanted where a rule cannot count, in a few words. */
function wantedWords({ code, trigger }: Unresolved): string {
  switch (code) {
    case 'noMeter':
      return `needs its ${'meter' in trigger ? trigger.meter : 'own'}’s hours`;
    case 'noSeason':
      return 'its season is not planned';
    case 'noOtherItem':
      return 'the item it goes with is not on record';
  }
}

/** How an item stands, in a few words: by the limit that decides, else by what is missing. */
export function standingWords(
  { limits, unresolved, baseline }: Pick<DueLineDto, 'limits' | 'unresolved' | 'baseline'>,
  today: string,
): string {
  const [deciding] = limits;
  if (deciding) return limitWords(deciding, today);
  const [wanting] = unresolved;
  if (wanting) return wantedWords(wanting);
  return baseline.kind === 'noRecord' ? 'never recorded' : 'nothing due';
}

/** An item's standing in one sentence: "Engine oil and filter: 6.2 h over 50 h, last done 12 May at 212.4 h". */
export function reasonWords(line: DueLineDto, today: string): string {
  return `${line.itemName}: ${standingWords(line, today)}, ${baselineWords(line.baseline, today)}`;
}
