import {
  isBladeStraight,
  judgeBattery,
  judgeBolts,
  judgeCharging,
  judgeDeck,
  judgeFreePlay,
  judgeRange,
  judgeStrokes,
  judgeTyres,
  shownRange,
} from '@yugator/core';
import type { Dimension, Measurement, RangeVerdict, TyreFault, UnitSystem } from '@yugator/core';

/** What a measurement comes to, in one sentence. */
export interface Judgement {
  readonly isGood: boolean;
  readonly words: string;
}

type Values = Readonly<Record<string, number>>;

function good(words: string): Judgement {
  return { isGood: true, words };
}

function bad(words: string): Judgement {
  return { isGood: false, words };
}

function by({ by: amount }: RangeVerdict, dimension: Dimension, units: UnitSystem): string {
  return shownRange({ low: amount, high: amount }, dimension, units);
}

function rangeWords(verdict: RangeVerdict, dimension: Dimension, units: UnitSystem): string {
  if (verdict.kind === 'within') return 'within its range';
  return `${by(verdict, dimension, units)} ${verdict.kind === 'below' ? 'too little' : 'too much'}`;
}

const TYRE_WORDS: Record<TyreFault, string> = {
  aboveSidewall: 'Above the sidewall figure: stand aside and let air out at once.',
  above: 'Too much: let air out.',
  below: 'Too little: pump up.',
  unequal: 'Left and right differ: bring both to the same, or the cut is not level.',
};

function judgeBatteryWords(volts: number): Judgement {
  const { kind, percent, mayFreeze } = judgeBattery(volts);
  const frost = mayFreeze ? ' In frost it can freeze: bring it indoors.' : '';
  if (kind === 'charged') return good(`About ${percent} % charged.`);
  if (kind === 'recharge')
    return bad(`About ${percent} % charged: recharge it, small ones at 2 A or less.${frost}`);
  return bad(`Flat. Charge it and measure again after a rest; if it does not hold, replace it.${frost}`);
}

function judgeDeckWords(values: Values, units: UnitSystem): Judgement {
  const { left = 0, right = 0, front = 0, rear = 0 } = values;
  const { sideways, rake, isLevelSideways, isRaked } = judgeDeck({ left, right, front, rear });
  const length = (value: number) => shownRange({ low: value, high: value }, 'length', units);
  const side = isLevelSideways ? 'Level side to side' : `${length(sideways)} out side to side`;
  const tilt = rake < 0 ? `front ${length(-rake)} higher than rear` : `front ${length(rake)} lower than rear`;
  const words = `${side}; ${tilt}${isRaked ? '' : ', 3 to 9 mm wanted'}.`;
  return isLevelSideways && isRaked ? good(words) : bad(words);
}

const CHARGING_WORDS = {
  charging: good('It charges.'),
  low: bad('Too little: belt, connections or alternator.'),
  high: bad('Too much: the regulator boils the battery.'),
} as const;

const STROKE_WORDS = {
  usual: good('As usual.'),
  dryOrLeaking: bad('Twice the usual or more: it was dry, or it leaks out. Look where it goes.'),
  blocked: bad('It takes none: blocked or cross-threaded. That is a defect.'),
} as const;

const BOLT_WORDS = {
  allTight: good('All tight.'),
  someLoose: bad('Some were loose: look again at the usual time.'),
  manyLoose: bad('Many were loose: look again soon.'),
} as const;

type Judges = {
  readonly [K in Measurement['kind']]: (
    measurement: Extract<Measurement, { kind: K }>,
    values: Values,
    units: UnitSystem,
  ) => Judgement | null;
};

const JUDGES: Judges = {
  range({ low, high, dimension }, { value }, units) {
    if (value === undefined) return null;
    const verdict = judgeRange(value, { low, high });
    const words = rangeWords(verdict, dimension, units);
    return { isGood: verdict.kind === 'within', words: `${words.charAt(0).toUpperCase()}${words.slice(1)}.` };
  },
  freePlay(range, { left, right }, units) {
    if (left === undefined || right === undefined) return null;
    const verdict = judgeFreePlay(left, right, range);
    const uneven = verdict.isUneven ? ' Left and right differ: it pulls to one side.' : '';
    const words = `Left ${rangeWords(verdict.left, 'length', units)}, right ${rangeWords(verdict.right, 'length', units)}.${uneven}`;
    return { isGood: verdict.isGood, words };
  },
  tyres(spec, { left, right }) {
    if (left === undefined || right === undefined) return null;
    const faults = judgeTyres(left, right, spec);
    return faults.length
      ? bad(faults.map((fault) => TYRE_WORDS[fault]).join(' '))
      : good('Right, and equal.');
  },
  battery: (_battery, { volts }) => (volts === undefined ? null : judgeBatteryWords(volts)),
  charging: (_battery, { volts }) =>
    volts === undefined ? null : CHARGING_WORDS[judgeCharging(volts, 'workingSpeed')],
  deck: (_deck, values, units) => (Object.keys(values).length < 4 ? null : judgeDeckWords(values, units)),
  bladeTips(_blade, { first, second }) {
    if (first === undefined || second === undefined) return null;
    return isBladeStraight(first, second)
      ? good('Straight.')
      : bad('Bent: replace it, it shakes the spindle to pieces.');
  },
  grease: ({ usual }, { strokes }) =>
    strokes === undefined ? null : STROKE_WORDS[judgeStrokes(strokes, usual)],
  bolts(_bolts, { loose, checked }) {
    if (loose === undefined || checked === undefined) return null;
    return loose > checked
      ? bad('There cannot be more loose than checked.')
      : BOLT_WORDS[judgeBolts(loose, checked)];
  },
};

/** Judges what was measured; null while a figure is missing. */
export function judgeMeasured(measurement: Measurement, values: Values, units: UnitSystem): Judgement | null {
  // The judge of a kind is given a measurement of that kind.
  const judge = JUDGES[measurement.kind] as (
    of: Measurement,
    values: Values,
    units: UnitSystem,
  ) => Judgement | null;
  return judge(measurement, values, units);
}
