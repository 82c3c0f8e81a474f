import type { LimitDto, MachineDetailDto } from '@yugator/contracts';

/** Steps from one tape to a wider one: hours ahead of now that it shows. */
export const TAPE_SPANS = [20, 40, 80, 160, 320, 640] as const;
/** As much of the tape lies behind now as this share of what lies ahead. */
const BACK_SHARE = 0.6;
/** The tape shows the next weeks to begin with. */
const WEEKS_TO_BEGIN_WITH = 8;
const DAY_MS = 86_400_000;

type Facts = Pick<MachineDetailDto, 'life' | 'ahead' | 'behind'>;

/** A stretch of life hours, laid out from 0 to 1. */
export interface TapeScale {
  readonly from: number;
  readonly to: number;
  /** 0 at the left end, 1 at the right; beyond them where the hours are not on the tape */
  place(hours: number): number;
}

/** The tape of a machine, `span` hours ahead. */
export function tapeScale(life: number, span: number): TapeScale {
  const from = life - span * BACK_SHARE;
  const to = life + span;
  return { from, to, place: (hours) => (hours - from) / (to - from) };
}

/** The narrowest span that holds what the machine is expected to run in the next weeks. */
export function firstSpan({ life, ahead }: Facts): number {
  const later = ahead[Math.min(ahead.length - 1, WEEKS_TO_BEGIN_WITH)];
  const hours = later ? later.expected - life : 0;
  return TAPE_SPANS.find((span) => span >= hours) ?? 640;
}

/** Hours between two ticks with a figure: ten or so on a tape. */
export function tickStep({ from, to }: TapeScale): number {
  return [5, 10, 20, 50, 100, 200].find((step) => (to - from) / step <= 12) ?? 500;
}

interface Point {
  readonly at: number;
  readonly life: number;
}

/** `y` of a point on straight lines between points, `x` and `y` chosen by the caller; null beyond their ends. */
function between(points: readonly { x: number; y: number }[], x: number): number | null {
  for (let i = 1; i < points.length; i += 1) {
    const [a, b] = [points[i - 1], points[i]];
    if (!a || !b || x < a.x || x > b.x) continue;
    return b.x === a.x ? b.y : a.y + ((b.y - a.y) * (x - a.x)) / (b.x - a.x);
  }
  return null;
}

function curve({ behind, ahead }: Facts, of: 'low' | 'expected' | 'high'): Point[] {
  const past = behind.map(({ on, life }) => ({ at: Date.parse(on), life }));
  const last = past.at(-1)?.at ?? -Infinity;
  return [
    ...past,
    ...ahead.map((point) => ({ at: Date.parse(point.on), life: point[of] })).filter(({ at }) => at > last),
  ];
}

/** Life hours on a day, by the readings behind and the forecast ahead; null beyond both. */
export function hoursOn(
  facts: Facts,
  on: string,
  of: 'low' | 'expected' | 'high' = 'expected',
): number | null {
  return between(
    curve(facts, of).map(({ at, life }) => ({ x: at, y: life })),
    Date.parse(on),
  );
}

/** A date on the scale under the tape. */
export interface DateTick {
  readonly on: string;
  readonly place: number;
}

/** Days between two dates that are tried, from a week up to a quarter. */
const DATE_STEPS = [7, 14, 28, 91];
const MOST_DATES = 11;

/** Dates to print under the tape, at the hours the machine had or is expected to have on them, at least `gap` of it apart. */
export function dateTicks(facts: Facts, today: string, scale: TapeScale, gap: number): DateTick[] {
  const start = Date.parse(today);
  const dateAt = (days: number) => new Date(start + days * DAY_MS).toISOString().slice(0, 10);
  for (const step of DATE_STEPS) {
    const ticks: DateTick[] = [];
    for (let days = -400; days <= 546; days += 1) {
      if (((days % step) + step) % step !== 0 || days === 0) continue;
      const hours = hoursOn(facts, dateAt(days));
      const place = hours === null ? -1 : scale.place(hours);
      if (place < gap / 2 || place > 1 - gap / 2 || Math.abs(place - scale.place(facts.life)) < gap) continue;
      if (place - (ticks.at(-1)?.place ?? -1) >= gap) ticks.push({ on: dateAt(days), place });
    }
    if (ticks.length <= MOST_DATES || step === DATE_STEPS.at(-1)) return ticks;
  }
  return [];
}

/** Where a due point lies on the tape: its hours, and for a date the range of hours in which it may fall. */
export interface FlagPlace {
  readonly hours: number;
  readonly low: number;
  readonly high: number;
}

/** The hours of a limit; for one on a date or on another meter, those at the day it is expected. Null where nobody can tell. */
export function flagPlace(facts: Facts, limit: LimitDto): FlagPlace | null {
  if (limit.kind === 'hours' && limit.meter === 'engine' && limit.at !== null) {
    return { hours: limit.at, low: limit.at, high: limit.at };
  }
  const on = limit.on ?? limit.expectedOn;
  const hours = on === null ? null : hoursOn(facts, on);
  if (on === null || hours === null) return null;
  // What is over is not ahead, though the meter may not have been read since.
  if (limit.overdue) return { hours: facts.life, low: facts.life, high: facts.life };
  return { hours, low: hoursOn(facts, on, 'low') ?? hours, high: hoursOn(facts, on, 'high') ?? hours };
}
