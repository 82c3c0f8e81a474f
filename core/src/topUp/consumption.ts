/** Some of a fluid that was filled up between two changes. */
export interface TopUp {
  /** life hours of the engine then */
  readonly life: number;
  readonly litres: number;
}

/** A span of running, and what was filled up at its end: the first after a change counts from the change. */
export interface DrinkSpan {
  /** life hours at its end */
  readonly life: number;
  readonly hours: number;
  readonly litres: number;
}

/** Why a machine is said to drink: so much more than it used to, or more than its card allows. */
export type Thirst = 'moreThanUsual' | 'moreThanCard';

/** How much of a fluid a machine uses up, in litres per 100 h of its engine. */
export interface Consumption {
  /** in order of time */
  readonly spans: readonly DrinkSpan[];
  /** over the latest two top-ups; null before there are two with hours between */
  readonly latest: number | null;
  /** before those; null while too little was watched */
  readonly usual: number | null;
  readonly thirst: Thirst | null;
}

/** A machine that takes three times its own usual begins to drink (common practice). */
const TIMES_USUAL = 3;
/** Hours that have to be watched before they count as usual: half an interval of most books. */
const LEAST_HOURS = 25;
/** What an engine in good order takes without anybody minding, in L per 100 h (common practice, from memory). */
const UNMINDED = 0.1;
/** Top-ups that the latest consumption is read from: one alone may be a spill, or a sump filled short. */
const LATEST = 2;

/** Litres per 100 h over some spans; null where they have no hours. */
export function litresPer100h(spans: readonly Pick<DrinkSpan, 'hours' | 'litres'>[]): number | null {
  const hours = spans.reduce((sum, span) => sum + span.hours, 0);
  return hours > 0 ? (spans.reduce((sum, span) => sum + span.litres, 0) / hours) * 100 : null;
}

/**
 * Spans from top-up to top-up. A change begins anew; what ran from the last top-up to the change counts as a span that took nothing.
 * `life` is that of now. Top-ups before the first change and the first of all only begin to count.
 */
function spansOf(topUps: readonly TopUp[], changes: readonly number[], life: number): DrinkSpan[] {
  const events = [
    ...changes.map((at) => ({ at, litres: null })),
    ...topUps.map((topUp) => ({ at: topUp.life, litres: topUp.litres })),
  ]
    .filter(({ at }) => at <= life)
    .sort((a, b) => a.at - b.at || Number(a.litres !== null) - Number(b.litres !== null));
  const spans: DrinkSpan[] = [];
  let from: number | null = null;
  for (const { at, litres } of events) {
    const last = spans.at(-1);
    if (from !== null && at > from) spans.push({ life: at, hours: at - from, litres: litres ?? 0 });
    // Twice at one figure of the meter is one top-up; right after a change it belongs to the refill.
    else if (last?.life === at && last.litres > 0)
      spans[spans.length - 1] = { ...last, litres: last.litres + (litres ?? 0) };
    from = at;
  }
  return spans;
}

function thirstOf(latest: number | null, usual: number | null, allowed: number | null): Thirst | null {
  if (latest === null) return null;
  if (allowed !== null && latest > allowed) return 'moreThanCard';
  return usual !== null && latest >= TIMES_USUAL * Math.max(usual, UNMINDED) ? 'moreThanUsual' : null;
}

/**
 * The consumption of one fluid of one machine. `changes` are the life hours at which it was renewed, `life` those of now, `allowed` what
 * the card allows in L per 100 h (null where it does not say). Lists in any order.
 */
export function consumption(
  topUps: readonly TopUp[],
  changes: readonly number[],
  life: number,
  allowed: number | null,
): Consumption {
  const spans = spansOf(topUps, changes, life);
  const filled = spans.filter(({ litres }) => litres > 0);
  const first = filled.at(-LATEST);
  const at = first && filled.length >= LATEST ? spans.indexOf(first) : spans.length;
  const before = spans.slice(0, at);
  const watched = before.reduce((sum, { hours }) => sum + hours, 0);
  const latest = litresPer100h(spans.slice(at));
  const usual = watched >= LEAST_HOURS ? litresPer100h(before) : null;
  return { spans, latest, usual, thirst: thirstOf(latest, usual, allowed) };
}
