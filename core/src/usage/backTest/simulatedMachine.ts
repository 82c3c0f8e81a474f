import { civilDate, dayNumber } from '../../calendar/civilDate.js';
import { seasonYear } from '../../season/season.js';
import type { Season } from '../../season/season.js';
import { seasonPlan } from '../../season/usePlan.js';
import type { UsePlan } from '../../season/usePlan.js';
import { normal, seeded } from './seeded.js';
import type { UsagePoint } from '../usageModel.js';

/** A machine whose every day is known, to hold forecasts against. */
export interface SimulatedMachine {
  readonly plan: UsePlan;
  /** first day (a day number) that is simulated */
  readonly firstDay: number;
  /** life hours at the end of each day from the first on */
  readonly life: readonly number[];
  /** what was read, in order of time */
  readonly readings: readonly UsagePoint[];
}

const FIRST_DAY = dayNumber(civilDate('2024-01-01'));
const DAYS = 3 * 365;

/** What the weather makes of a week: rain keeps the machine in, fine weather brings more than planned, and some weeks it stands. */
function weekFactor(random: () => number, weather: number): number {
  if (random() < 0.08) return 0;
  const rainy = random() < 0.15 ? 0.35 : 1.1;
  return rainy * Math.exp(0.3 * normal(random) + weather - 0.05);
}

/**
 * Three years of a machine: a mowing season and, for every second one, leaves in autumn; it works harder or easier than planned and
 * drifts from year to year; weeks of weather hang together; it runs on working days, and its meter is read about once a week.
 */
export function simulatedMachine(seed: number): SimulatedMachine {
  const random = seeded(seed);
  const mowing: Season = { id: 'mowing', name: 'Mowing', years: [seasonYear(2024, '03-24', '10-24')] };
  const leaves: Season = { id: 'leaves', name: 'Leaves', years: [seasonYear(2024, '10-10', '12-12')] };
  const parts = [
    { seasonId: 'mowing', hoursPerWeek: 3 + 8 * random() },
    ...(random() < 0.5 ? [{ seasonId: 'leaves', hoursPerWeek: 2 + 5 * random() }] : []),
  ];
  const plan = seasonPlan(parts, [mowing, leaves], FIRST_DAY, FIRST_DAY + DAYS + 3650);
  const own = Math.exp(0.3 * normal(random));

  const life: number[] = [];
  let hours = 0;
  let weather = 0;
  let week = 1;
  for (let index = 0; index < DAYS; index += 1) {
    if (index % 7 === 0) {
      weather = 0.5 * weather + 0.15 * normal(random);
      week = weekFactor(random, weather);
    }
    const day = FIRST_DAY + index;
    // 1 January 2024 was a Monday: the first five days of each week are working days.
    const works = index % 7 < 5 && random() < 0.8;
    const drift = 1 + 0.1 * Math.sin((2 * Math.PI * (index + 997 * own)) / 900);
    if (works) hours += plan.exposure(day - 1, day) * (7 / 4) * own * drift * week;
    life.push(hours);
  }

  const readings: UsagePoint[] = [];
  for (let index = 4; index < DAYS; index += 7) {
    const at = index + Math.floor(random() * 3);
    if (random() < 0.12) continue;
    readings.push({ day: FIRST_DAY + at, life: Math.round((life[at] ?? hours) * 10) / 10 });
  }
  return { plan, firstDay: FIRST_DAY, life, readings: readings.filter(({ day }) => day < FIRST_DAY + DAYS) };
}
