import type { SeasonPlanDto } from '@yugator/contracts';
import { dayLoads, isTooFull, visitsJudge } from '@yugator/core';
import { shortDayWords } from '../words/dates.js';
import { moneyWords } from '../words/figures.js';
import { moved, planOfCards, settledBy } from './cards.js';
import type { Card } from './cards.js';
import { dayOn } from './wallWords.js';

/** What cards of one machine cost, in minutes; null where they may not be. */
export type Judge = (cards: readonly Card[]) => number | null;

/** Judges cards of a machine under the locks that these cards have. */
export function judgeUnder(locks: readonly Card[], { instance }: SeasonPlanDto, machine: number): Judge {
  const judge = visitsJudge(settledBy(locks, instance), machine);
  return (cards) => judge(planOfCards(cards, instance)[machine] ?? []);
}

/** What comes of a card on another day. */
export interface MoveEffect {
  /** minutes more than before, below 0: fewer; null where it may not be there */
  readonly minutes: number | null;
  readonly isTooFull: boolean;
  /** work that is past its due day then, and was not before */
  readonly late: readonly string[];
  /** work that is no longer past its due day */
  readonly inTime: readonly string[];
}

export function moveEffect(
  plan: SeasonPlanDto,
  cards: readonly Card[],
  card: Card,
  day: number,
  judge: Judge = judgeUnder(cards, plan, card.machine),
): MoveEffect {
  const after = moved(cards, card, day);
  // A lock goes with its card.
  const then = (card.isLocked ? judgeUnder(after, plan, card.machine) : judge)(after);
  const before = judge(cards);
  const load = dayLoads(plan.instance, planOfCards(after, plan.instance)).find((each) => each.day === day);
  const dueOf = (place: number) => plan.machines[card.machine]?.items[place];
  const isLate = (place: number, on: number) => {
    const expected = dueOf(place)?.expectedOn ?? null;
    return expected !== null && expected < dayOn(plan, on);
  };
  const names = (places: readonly number[]) => places.flatMap((place) => dueOf(place)?.name ?? []);
  return {
    minutes: then === null || before === null ? null : Math.round(then - before),
    isTooFull: load !== undefined && isTooFull(load),
    late: names(card.items.filter((place) => isLate(place, day) && !isLate(place, card.day))),
    inTime: names(card.items.filter((place) => !isLate(place, day) && isLate(place, card.day))),
  };
}

/** What minutes are worth in money, where somebody said what an hour costs. */
export type MoneyOf = (minutes: number) => string;

export function moneyOf({ labourRateMinor }: SeasonPlanDto, currency: string): MoneyOf {
  return (minutes) =>
    labourRateMinor ? `, ${moneyWords(Math.round((minutes * labourRateMinor) / 60), currency)}` : '';
}

function costWords(minutes: number, money: MoneyOf): string {
  if (minutes === 0) return 'It costs the same.';
  return minutes > 0
    ? `It costs ${minutes} min more${money(minutes)}: work, lateness and life thrown away.`
    : `It saves ${-minutes} min${money(-minutes)}.`;
}

/** What it costs to have a card on another day, what is late then, and whether that is too full. */
export function moveWords({ minutes, isTooFull, late, inTime }: MoveEffect, money: MoneyOf): string {
  return [
    minutes === null
      ? 'Not there: something of it would be done again too soon, or before it can be.'
      : costWords(minutes, money),
    late.length ? `Past its due day then: ${late.join(', ')}.` : '',
    inTime.length ? `In time then: ${inTime.join(', ')}.` : '',
    isTooFull ? 'The day is too full then.' : '',
  ]
    .filter(Boolean)
    .join(' ');
}

/** A card by its machine and day: "M-07 on Tue 11 May". */
export function cardWords(plan: SeasonPlanDto, { machine, day }: Pick<Card, 'machine' | 'day'>): string {
  return `${plan.machines[machine]?.tag ?? ''} on ${shortDayWords(dayOn(plan, day))}`;
}

/** What was done with a card: "M-07 on Tue 11 May moved to Fri 14 May". */
export function movedWords(plan: SeasonPlanDto, card: Card, day: number): string {
  return `${cardWords(plan, card)} moved to ${shortDayWords(dayOn(plan, day))}`;
}
