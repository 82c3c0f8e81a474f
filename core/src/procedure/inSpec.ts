import { judgeBattery, judgeCharging } from '../checks/battery.js';
import { judgeBolts } from '../checks/bolts.js';
import { isBladeStraight, judgeDeck } from '../checks/deckLevel.js';
import { judgeFreePlay } from '../checks/freePlay.js';
import { judgeStrokes } from '../checks/grease.js';
import { sightOf } from '../checks/looks.js';
import { judgeRange } from '../checks/range.js';
import { judgeTyres } from '../checks/tyres.js';
import type { Measurement, Step } from './step.js';

/** Figures of a measurement, in SI, by the name of the field. */
export type Measured = Readonly<Record<string, number | undefined>>;

type Judges = {
  readonly [K in Measurement['kind']]: (
    measurement: Extract<Measurement, { kind: K }>,
    values: Measured,
  ) => boolean | null;
};

const JUDGES: Judges = {
  range: (range, { value }) => (value === undefined ? null : judgeRange(value, range).kind === 'within'),
  freePlay: (range, { left, right }) =>
    left === undefined || right === undefined ? null : judgeFreePlay(left, right, range).isGood,
  tyres: (spec, { left, right }) =>
    left === undefined || right === undefined ? null : judgeTyres(left, right, spec).length === 0,
  battery: (_battery, { volts }) => (volts === undefined ? null : judgeBattery(volts).kind === 'charged'),
  charging(wanted, { volts, idle }) {
    if (volts === undefined) return null;
    const isGoodAtIdle = idle === undefined || judgeCharging(idle, 'idle', wanted) === 'charging';
    return isGoodAtIdle && judgeCharging(volts, 'workingSpeed', wanted) === 'charging';
  },
  deck(limits, { left, right, front, rear }) {
    if (left === undefined || right === undefined || front === undefined || rear === undefined) return null;
    const verdict = judgeDeck({ left, right, front, rear }, limits);
    return verdict.isLevelSideways && verdict.isRaked;
  },
  bladeTips: ({ within }, { first, second }) =>
    first === undefined || second === undefined ? null : isBladeStraight(first, second, within),
  grease: ({ usual }, { strokes }) =>
    strokes === undefined ? null : judgeStrokes(strokes, usual) === 'usual',
  bolts: (_bolts, { loose, checked }) =>
    loose === undefined || checked === undefined || loose > checked
      ? null
      : judgeBolts(loose, checked) === 'allTight',
};

/** Whether what was measured is as it should be; null while a figure is missing or cannot be. */
export function isInSpec(measurement: Measurement, values: Measured): boolean | null {
  // The judge of a kind is given a measurement of that kind.
  const judge = JUDGES[measurement.kind] as (of: Measurement, values: Measured) => boolean | null;
  return judge(measurement, values);
}

/** Whether a step found things as they should be: what it measured, and what it saw; null where it found nothing. */
export function foundGood(
  { measurement, look }: Pick<Step, 'measurement' | 'look'>,
  found: Readonly<Record<string, number | string>>,
): boolean | null {
  const numbers = Object.fromEntries(
    Object.entries(found).flatMap(([name, value]) => (typeof value === 'number' ? [[name, value]] : [])),
  );
  const measured = measurement ? isInSpec(measurement, numbers) : null;
  const sight = look && typeof found['sight'] === 'string' ? sightOf(look, found['sight']) : undefined;
  const seen = sight ? sight.answer === 'keep' : null;
  if (measured === null) return seen;
  return measured && seen !== false;
}
