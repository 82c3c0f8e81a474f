import type { LimitDto } from '@yugator/contracts';
import { JUDGEMENTS, TRIGGER_KINDS } from '@yugator/core';
import type { Trigger } from '@yugator/core';
import { countWords, intervalWords } from '../words/figures.js';

type Rule = LimitDto['rule'];
/** Names the other item of an every-n-th rule. */
export type NameOf = (itemId: string) => string;

const NO_NAMES: NameOf = () => 'another item';

/** A length of time as the shop says it: "a year", "3 months", "a week". */
export function lengthWords(count: number, unit: 'day' | 'month'): string {
  if (unit === 'month') {
    if (count % 12 === 0) return count === 12 ? 'a year' : `${count / 12} years`;
    return count === 1 ? 'a month' : `${count} months`;
  }
  if (count % 7 === 0) return count === 7 ? 'a week' : `${count / 7} weeks`;
  return count === 1 ? 'a day' : `${count} days`;
}

function hoursRule(hours: number, meter: string): string {
  return `${intervalWords(hours)} ${meter === 'engine' ? '' : `${meter} `}h`;
}

/** Whether days wait for the machine to work, where its line says so. */
function inUseWords({ inUse }: Extract<Trigger, { kind: 'everyCalendar' | 'firstCalendar' }>): string {
  if (inUse === null) return '';
  return inUse ? ' in use' : ', rest or not';
}

function ordinal(n: number): string {
  const last = n % 10;
  const isTeen = Math.floor(n / 10) % 10 === 1;
  const ending = isTeen ? 'th' : last === 1 ? 'st' : last === 2 ? 'nd' : last === 3 ? 'rd' : 'th';
  return `${n}${ending}`;
}

function edgeWords({ season, edge, offsetDays }: Extract<Trigger, { kind: 'seasonEdge' }>): string {
  const what = `${season ?? 'its working time'} ${edge === 'first' ? 'begins' : 'ends'}`;
  if (offsetDays === 0) return `when ${what}`;
  return `${countWords(Math.abs(offsetDays), 'day')} ${offsetDays < 0 ? 'before' : 'after'} ${what}`;
}

/** What makes an item due, by one trigger: "every 50 h", "first at 5 h", "14 days before Mowing begins". */
export function triggerWords(rule: Rule, nameOf: NameOf = NO_NAMES): string {
  switch (rule.kind) {
    case 'firstHours':
      return `first at ${hoursRule(rule.hours, rule.meter)}`;
    case 'firstCalendar':
      return `first after ${lengthWords(rule.count, rule.unit)}${inUseWords(rule)}`;
    case 'everyHours':
      return `every ${hoursRule(rule.hours, rule.meter)}${rule.grid === 'onMeter' ? ' on the meter' : ''}`;
    case 'everyCalendar':
      return `every ${lengthWords(rule.count, rule.unit).replace(/^a /, '')}${inUseWords(rule)}`;
    case 'seasonEdge':
      return edgeWords(rule);
    case 'everyNth': {
      const often = rule.everyTimeAboveHours;
      return `with every ${ordinal(rule.n)} "${nameOf(rule.itemId)}"${
        often === null ? '' : `, every time above ${intervalWords(often)} h a year`
      }`;
    }
    case 'storage':
      return `every ${countWords(rule.days, 'day')} in storage`;
    case 'kept':
      return 'until its re-check';
    case 'deferred':
      return 'until the day it was put off to';
    case 'leftOut':
      return 'after a clean check, the next one left out';
  }
}

/** The order in which the rules of an item are said; judgements, which stand in place of them, last. */
const SAID: readonly Rule['kind'][] = [...TRIGGER_KINDS, ...JUDGEMENTS];

function place(kind: Rule['kind']): number {
  return SAID.indexOf(kind);
}

/** Intervals in one breath: "every 50 h or a year". */
function everyWords(rules: readonly Rule[]): string {
  const lengths = rules.flatMap((rule) => {
    if (rule.kind === 'everyHours') return triggerWords(rule).replace(/^every /, '');
    return rule.kind === 'everyCalendar' ? `${lengthWords(rule.count, rule.unit)}${inUseWords(rule)}` : [];
  });
  const [first, ...others] = lengths;
  return first === undefined
    ? ''
    : ['every', first.replace(/^a /, ''), ...others.map((other) => `or ${other}`)].join(' ');
}

/** The rule of an item, by all its triggers: "first at 5 h, then every 50 h or a year". */
export function ruleWords(rules: readonly Rule[], nameOf?: NameOf): string {
  const inOrder = rules.toSorted((a, b) => place(a.kind) - place(b.kind));
  const once = inOrder
    .filter(({ kind }) => kind.startsWith('first'))
    .map((rule) => triggerWords(rule, nameOf));
  const others = inOrder
    .filter(({ kind }) => place(kind) > place('everyCalendar'))
    .map((rule) => triggerWords(rule, nameOf));
  // One rule may set two limits, such as the hours and the day of what it follows: it is said once.
  const again = [everyWords(inOrder), ...new Set(others)].filter(Boolean).join(' or ');
  return [once.join(' or '), again].filter(Boolean).join(', then ') || 'never by itself';
}

/** What was passed, of a limit that is over: "over 50 h", "over a year", "after Mowing began". */
export function overWords(rule: Rule): string {
  switch (rule.kind) {
    case 'firstHours':
    case 'everyHours':
      return `over ${hoursRule(rule.hours, rule.meter)}`;
    case 'firstCalendar':
    case 'everyCalendar':
      return `over ${lengthWords(rule.count, rule.unit)}`;
    case 'seasonEdge':
      return `late, due ${edgeWords(rule)}`;
    case 'everyNth':
      return 'late, missed when the other was done';
    case 'storage':
      return `over ${countWords(rule.days, 'day')} in storage`;
    case 'kept':
      return 'past its re-check';
    case 'deferred':
      return 'past the day it was put off to';
    case 'leftOut':
      return 'over, and the one before was left out';
  }
}
