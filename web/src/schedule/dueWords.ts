import type { BaselineDto, DueLineDto, LimitDto } from '@yugator/contracts';
import { dayWords, nearDayWords } from '../words/dates.js';
import { countWords, hoursWords, intervalWords } from '../words/figures.js';

/** An interval as the shop says it: "50 h", "a year", "every week" without the "every". */
export function intervalOf({ every, unit }: Pick<LimitDto, 'every' | 'unit'>): string {
  if (unit === 'hour') return `${intervalWords(every)} h`;
  if (unit === 'month') {
    if (every % 12 === 0) return every === 12 ? 'a year' : `${every / 12} years`;
    return every === 1 ? 'a month' : `${every} months`;
  }
  if (every % 7 === 0) return every === 7 ? 'a week' : `${every / 7} weeks`;
  return every === 1 ? 'a day' : `${every} days`;
}

/** The rule of an item: "every 50 h or a year". */
export function ruleWords(triggers: readonly Pick<LimitDto, 'every' | 'unit'>[]): string {
  const inOrder = triggers.toSorted((a, b) => Number(b.unit === 'hour') - Number(a.unit === 'hour'));
  return inOrder.length ? `every ${inOrder.map(intervalOf).join(' or ')}` : 'never by itself';
}

/** How a limit stands: "6.2 h over 50 h", "in 3.4 h, about 14 May", "by 20 May", "due now". */
export function limitWords(limit: LimitDto, today: string): string {
  if (limit.kind === 'hours') {
    if (limit.left < 0) return `${hoursWords(-limit.left)} h over ${intervalOf(limit)}`;
    if (limit.left === 0) return `due now, at ${intervalOf(limit)}`;
    const about = limit.expectedOn
      ? `, about ${nearDayWords(limit.expectedOn, today).replace(/^on /, '')}`
      : '';
    return `in ${hoursWords(limit.left)} h${about}`;
  }
  if (limit.left < 0) return `${countWords(-limit.left, 'day')} over ${intervalOf(limit)}`;
  if (limit.left === 0) return `due today, after ${intervalOf(limit)}`;
  return `by ${nearDayWords(limit.on ?? today, today).replace(/^on /, '')}`;
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

/** An item's standing in one sentence: "Engine oil and filter: 6.2 h over 50 h, last done 12 May at 212.4 h". */
export function reasonWords(line: DueLineDto, today: string): string {
  const limit = line.limits[0];
  const standing = limit ? limitWords(limit, today) : 'never recorded';
  return `${line.itemName}: ${standing}, ${baselineWords(line.baseline, today)}`;
}
