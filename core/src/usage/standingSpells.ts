import { weightOf } from './evidence.js';
import type { Gap } from './evidence.js';

/** How much of its planned time a machine stands, and for how long at a time. */
export interface StandingSpells {
  /** share of the planned time in which it stands, from 0 up to 1 */
  readonly share: number;
  /** working days of a spell, on average */
  readonly days: number;
}

/** What is expected before anything is known: a twentieth of the time, a week at a time. */
const PRIOR_SHARE = 0.05;
const PRIOR_SHARE_DAYS = 40;
const PRIOR_SPELL_DAYS = 7;
const PRIOR_SPELLS = 2;
/** A gap with less than this of its usual hours was stood in part, one with none of them all through. */
const WORKS_FROM = 0.35;
/** How a machine stands is its habit: it counts half after more than a season. */
export const HABIT_HALF_LIFE_DAYS = 300;

/** How much of a gap the machine stood, from 0 to 1, where it runs `mean` hours for each planned. */
export function stoodShare({ hours, planned }: Gap, mean: number): number {
  return Math.max(0, 1 - hours / (mean * planned) / WORKS_FROM);
}

/** The standing of a machine that runs `mean` hours for each planned, learned from its `gaps`, earliest first. */
export function standingSpells(gaps: readonly Gap[], mean: number): StandingSpells {
  let stood = PRIOR_SHARE * PRIOR_SHARE_DAYS;
  let days = PRIOR_SHARE_DAYS;
  let spells = PRIOR_SPELLS;
  let spellDays = PRIOR_SPELLS * PRIOR_SPELL_DAYS;
  let running = 0;
  const end = (weight: number) => {
    if (running === 0) return;
    spells += weight;
    spellDays += weight * running;
    running = 0;
  };
  for (const gap of gaps) {
    const weight = weightOf(gap.age, HABIT_HALF_LIFE_DAYS);
    const share = stoodShare(gap, mean);
    stood += weight * gap.days * share;
    days += weight * gap.days;
    if (share > 0.5) running += gap.days * share;
    else end(weight);
  }
  end(1);
  return { share: stood / days, days: spellDays / spells };
}
