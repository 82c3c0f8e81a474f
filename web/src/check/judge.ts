import {
  capital,
  isInSpec,
  judgeBattery,
  judgeBolts,
  judgeCharging,
  judgeDeck,
  judgeFreePlay,
  judgeRange,
  judgeStrokes,
  judgeTyres,
  shownRange,
  shownValue,
} from '@yugator/core';
import type { DeckLimits, Dimension, Measurement, RangeVerdict, TyreFault, UnitSystem } from '@yugator/core';

/** What a measurement comes to, in one sentence. */
export interface Judgement {
  readonly isGood: boolean;
  readonly words: string;
}

type Values = Readonly<Record<string, number>>;

function rangeWords({ kind, by }: RangeVerdict, dimension: Dimension, units: UnitSystem): string {
  if (kind === 'within') return 'within its range';
  const amount = shownValue(by, dimension, units);
  return `${amount} ${kind === 'below' ? 'too little' : 'too much'}`;
}

const TYRE_WORDS: Record<TyreFault, string> = {
  aboveSidewall: 'Above the sidewall figure: stand aside and let air out at once.',
  above: 'Too much: let air out.',
  below: 'Too little: pump up.',
  unequal: 'Left and right differ: bring both to the same, or it neither cuts level nor runs straight.',
};

function batteryWords(volts: number): string {
  const { kind, percent, mayFreeze } = judgeBattery(volts);
  const frost = mayFreeze ? ' In frost it can freeze: bring it indoors.' : '';
  if (kind === 'charged') return `About ${percent} % charged.`;
  if (kind === 'recharge')
    return `About ${percent} % charged: recharge it, small ones at 2 A or less.${frost}`;
  return `Flat. Charge it and measure again after a rest; if it does not hold, replace it.${frost}`;
}

function deckWords(
  limits: DeckLimits,
  { left = 0, right = 0, front = 0, rear = 0 }: Values,
  units: UnitSystem,
): string {
  const { sideways, rake, isLevelSideways, isRaked } = judgeDeck({ left, right, front, rear }, limits);
  const length = (value: number) => shownValue(value, 'length', units);
  const side = isLevelSideways ? 'Level side to side' : `${length(sideways)} out side to side`;
  const tilt = rake < 0 ? `front ${length(-rake)} higher than rear` : `front ${length(rake)} lower than rear`;
  return `${side}; ${tilt}${isRaked ? '' : `, ${shownRange(limits, 'length', units)} wanted`}.`;
}

const CHARGING_WORDS = {
  charging: 'It charges.',
  low: 'Too little: belt, connections or alternator.',
  high: 'Too much: the regulator boils the battery.',
} as const;

const STROKE_WORDS = {
  usual: 'As usual.',
  dryOrLeaking: 'Twice the usual or more: it was dry, or it leaks out. Look where it goes.',
  blocked: 'It takes none: blocked or cross-threaded. That is a defect.',
} as const;

const BOLT_WORDS = {
  allTight: 'All tight.',
  someLoose: 'Some were loose: look again at the usual time.',
  manyLoose: 'Many were loose: look again soon.',
} as const;

type Words = {
  readonly [K in Measurement['kind']]: (
    measurement: Extract<Measurement, { kind: K }>,
    values: Values,
    units: UnitSystem,
  ) => string;
};

/** What stands behind a verdict, once every figure is there. */
const WORDS: Words = {
  range({ low, high, dimension }, { value = 0 }, units) {
    const words = rangeWords(judgeRange(value, { low, high }), dimension, units);
    return `${capital(words)}.`;
  },
  freePlay(range, { left = 0, right = 0 }, units) {
    const verdict = judgeFreePlay(left, right, range);
    const uneven = verdict.isUneven ? ' Left and right differ: it pulls to one side.' : '';
    return `Left ${rangeWords(verdict.left, 'length', units)}, right ${rangeWords(verdict.right, 'length', units)}.${uneven}`;
  },
  tyres(spec, { left = 0, right = 0 }) {
    const faults = judgeTyres(left, right, spec);
    return faults.map((fault) => TYRE_WORDS[fault]).join(' ') || 'Right, and equal.';
  },
  battery: (_battery, { volts = 0 }) => batteryWords(volts),
  charging(limits, { volts = 0, idle }) {
    const working = CHARGING_WORDS[judgeCharging(volts, 'workingSpeed', limits)];
    return idle === undefined
      ? working
      : `${working} At idle: ${CHARGING_WORDS[judgeCharging(idle, 'idle', limits)]}`;
  },
  deck: (limits, values, units) => deckWords(limits, values, units),
  bladeTips: (blade, values) =>
    isInSpec(blade, values) ? 'Straight.' : 'Bent: replace it, it shakes the spindle to pieces.',
  grease: ({ usual }, { strokes = 0 }) => STROKE_WORDS[judgeStrokes(strokes, usual)],
  bolts: (_bolts, { loose = 0, checked = 0 }) => BOLT_WORDS[judgeBolts(loose, checked)],
};

/** Judges what was measured; null while a figure is missing. */
export function judgeMeasured(measurement: Measurement, values: Values, units: UnitSystem): Judgement | null {
  const isGood = isInSpec(measurement, values);
  if (isGood === null) {
    const { loose, checked } = values;
    const isImpossible = loose !== undefined && checked !== undefined;
    return isImpossible ? { isGood: false, words: 'There cannot be more loose than checked.' } : null;
  }
  // The words of a kind are given a measurement of that kind.
  const words = WORDS[measurement.kind] as (of: Measurement, values: Values, units: UnitSystem) => string;
  return { isGood, words: words(measurement, values, units) };
}
