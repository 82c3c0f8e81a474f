import { civilDate, dayNumber } from '../../calendar/civilDate.js';
import { seasonYear } from '../../season/season.js';
import type { Season } from '../../season/season.js';
import { seasonPlan } from '../../season/usePlan.js';
import type { UsagePoint } from '../usageModel.js';
import { normal, seeded } from './seeded.js';
import type { SimulatedMachine } from './simulatedMachine.js';

/** How rough the years of a machine are. */
export interface Roughness {
  /** how much of a week's weather is left in the next, from 0 to 1, and its standard deviation (logarithm) */
  readonly weatherLasts: number;
  readonly weather: number;
  /** standard deviation of the random walk of its work from week to week (logarithm) */
  readonly walk: number;
  /** how far its work swings over some years: share of its mean */
  readonly swing: number;
  /** spells of standing, of one to three weeks, that begin in a planned week */
  readonly spells: number;
  /** share of the weekly readings that are missed */
  readonly missed: number;
  readonly isPlanned: boolean;
}

const AT_WORST = {
  weatherLasts: 0.6,
  weather: 0.4,
  walk: 0.03,
  swing: 0.2,
  spells: 0.15,
  missed: 0.15,
  isPlanned: true,
};

/** Years rougher than those of `simulatedMachine` in one way or in all. */
export const ROUGH_YEARS: Readonly<Record<string, Roughness>> = {
  'weather, spells and drift': { ...AT_WORST, weather: 0.35, walk: 0, spells: 0.06, missed: 0.12 },
  'many spells, wandering work': { ...AT_WORST, weatherLasts: 0.7, weather: 0.3, swing: 0.1, spells: 0.1 },
  'weather that lasts': { ...AT_WORST, weatherLasts: 0.8, weather: 0.45, walk: 0, swing: 0.1, spells: 0.05 },
  'spells alone': { ...AT_WORST, weatherLasts: 0, weather: 0.1, walk: 0, swing: 0, spells: 0.08 },
  'all at once': AT_WORST,
  'no plan, all year': { ...AT_WORST, weather: 0.3, walk: 0.02, swing: 0.1, spells: 0.05, isPlanned: false },
};

const FIRST_DAY = dayNumber(civilDate('2024-01-01'));
const DAYS = 3 * 365;
const PLANNED_DAYS = 3650;
const SWING_DAYS = 700;
/** Unevenness of single days (standard deviation of the logarithm). */
const DAILY = 0.4;

/** A factor around 1 whose logarithm is `log`, of the standard deviation `deviation`. */
function around(log: number, deviation: number): number {
  return Math.exp(log - deviation ** 2 / 2);
}

/** For each day, how much more or less than planned it works: 0 at weekends and in spells of standing. */
function workOfDays(rough: Roughness, random: () => number, plannedOn: (day: number) => number): number[] {
  let [weather, drift, standsFor] = [0, 0, 0];
  return Array.from({ length: DAYS }, (_, index) => {
    if (index % 7 === 0) {
      const { weatherLasts, weather: deviation } = rough;
      weather = weatherLasts * weather + deviation * Math.sqrt(1 - weatherLasts ** 2) * normal(random);
      drift += rough.walk * normal(random);
    }
    if (standsFor > 0) standsFor -= 1;
    else if (plannedOn(FIRST_DAY + index) > 0 && random() < rough.spells / 7) {
      standsFor = 7 + Math.floor(15 * random());
    }
    const works = index % 7 < 5 && random() < 0.8;
    const uneven = around(weather, rough.weather) * around(DAILY * normal(random), DAILY);
    return works && standsFor === 0 ? Math.exp(drift) * uneven : 0;
  });
}

/** The meter, read about once a week; some readings are missed. */
function readingsOf(life: readonly number[], rough: Roughness, random: () => number): UsagePoint[] {
  const readings: UsagePoint[] = [];
  for (let index = 4; index < DAYS; index += 7) {
    const at = index + Math.floor(random() * 3);
    const hours = life[at];
    if (random() < rough.missed || hours === undefined) continue;
    readings.push({ day: FIRST_DAY + at, life: Math.round(hours * 10) / 10 });
  }
  return readings;
}

/**
 * Three years of a machine that stands for one to three weeks now and then, works by weather that lasts for weeks, and does more or
 * less over the years. Without a plan it works all year at a rate that nobody wrote down.
 */
export function roughMachine(seed: number, rough: Roughness): SimulatedMachine {
  const random = seeded(seed);
  const mowing: Season = { id: 'mowing', name: 'Mowing', years: [seasonYear(2024, '03-24', '10-24')] };
  const parts = [{ seasonId: 'mowing', hoursPerWeek: 3 + 8 * random() }];
  const last = FIRST_DAY + DAYS + PLANNED_DAYS;
  const seasonal = seasonPlan(parts, [mowing], FIRST_DAY, last);
  const plan = rough.isPlanned ? seasonal : seasonPlan([], [], FIRST_DAY, last);
  const own = Math.exp(0.3 * normal(random));
  const phase = 2 * Math.PI * random();

  const plannedOn = (day: number) =>
    rough.isPlanned ? seasonal.exposure(day - 1, day) : (parts[0]?.hoursPerWeek ?? 0) / 7;
  let hours = 0;
  const life = workOfDays(rough, random, plannedOn).map((factor, index) => {
    const swing = 1 + rough.swing * Math.sin(phase + (2 * Math.PI * index) / SWING_DAYS);
    hours += plannedOn(FIRST_DAY + index) * (7 / 4) * own * swing * factor;
    return hours;
  });
  return { plan, firstDay: FIRST_DAY, life, readings: readingsOf(life, rough, random) };
}
