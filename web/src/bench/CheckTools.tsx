import {
  USUAL_CHARGING,
  cartridgesFor,
  GRAMS_OF_CARTRIDGE,
  GRAMS_OF_STROKE,
  inUnit,
  unitsOf,
  shareOf,
} from '@yugator/core';
import type { Dimension, Measurement } from '@yugator/core';
import { judgeMeasured } from '../check/judge.js';
import table from '../page/table.module.css';
import { useSession } from '../session/useSession.js';
import { countWords, hoursWords } from '../words/figures.js';
import styles from './bench.module.css';
import { QuantityParam, useQuantity } from './QuantityParam.js';

function Verdict({
  measurement,
  values,
}: {
  measurement: Measurement;
  values: Record<string, number | null>;
}) {
  const { site } = useSession();
  const known = Object.fromEntries(
    Object.entries(values).flatMap(([name, value]) => (value === null ? [] : [[name, value]])),
  );
  const judgement = judgeMeasured(measurement, known, site.unitSystem);
  return (
    <p role="status" className={styles.answer}>
      {judgement ? `${judgement.isGood ? '✓' : '✗'} ${judgement.words}` : ''}
    </p>
  );
}

function inAllUnits(value: number, dimension: Dimension): [unit: string, figure: string][] {
  return unitsOf(dimension).map((unit) => [unit, inUnit(value, dimension, unit, 3)]);
}

function UnitTable({
  name,
  usual,
  label,
  dimension,
}: {
  name: string;
  usual: string;
  label: string;
  dimension: Dimension;
}) {
  const value = useQuantity(name, usual, dimension);
  return (
    <div className={styles.unit}>
      <QuantityParam name={name} usual={usual} label={label} dimension={dimension} />
      {value === null ? null : (
        <table className={table.table}>
          <tbody>
            {inAllUnits(value, dimension).map(([unit, figure]) => (
              <tr key={unit}>
                <td className={table.number}>{figure}</td>
                <td>{unit}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </div>
  );
}

/** The units of the trade beside each other. */
export function UnitsTool() {
  return (
    <div className={styles.units}>
      <UnitTable name="torque" usual="15 lbf·ft" label="Torque" dimension="torque" />
      <UnitTable name="pressure" usual="30 psi" label="Pressure" dimension="pressure" />
      <UnitTable name="volume" usual="2 qt" label="Volume" dimension="volume" />
      <UnitTable name="length" usual="0.030 in" label="Length" dimension="length" />
    </div>
  );
}

/** Rest voltage to charge, and charging voltage. */
export function BatteryTool() {
  const rest = useQuantity('rest', '12.4 V', 'voltage');
  const charging = useQuantity('charging', '14.2 V', 'voltage');
  const idle = useQuantity('idle', '13.5 V', 'voltage');
  return (
    <>
      <div className={styles.fields}>
        <QuantityParam name="rest" usual="12.4 V" label="At rest" dimension="voltage" />
      </div>
      <Verdict measurement={{ kind: 'battery', label: '' }} values={{ volts: rest }} />
      <div className={styles.fields}>
        <QuantityParam name="charging" usual="14.2 V" label="At working speed" dimension="voltage" />
        <QuantityParam name="idle" usual="13.5 V" label="At idle" dimension="voltage" />
      </div>
      <Verdict
        measurement={{ kind: 'charging', label: '', ...USUAL_CHARGING, isUsual: true }}
        values={{ volts: charging, idle }}
      />
    </>
  );
}

/** Strokes and cartridges of a season. */
export function GreaseTool() {
  const strokes = useQuantity('strokes', '24', null);
  const times = useQuantity('times', '20', null);
  const machines = useQuantity('machines', '6', null);
  const total = (strokes ?? 0) * (times ?? 0) * (machines ?? 0);
  return (
    <>
      <div className={styles.fields}>
        <QuantityParam name="strokes" usual="24" label="Strokes a machine" dimension={null} />
        <QuantityParam name="times" usual="20" label="Times a season" dimension={null} />
        <QuantityParam name="machines" usual="6" label="Machines" dimension={null} />
      </div>
      <p className={styles.answer}>
        {Math.round(total)} strokes, {Math.round(total * GRAMS_OF_STROKE)} g:{' '}
        {countWords(cartridgesFor(total), 'cartridge')}.
      </p>
      <p className="soft">
        A stroke of {GRAMS_OF_STROKE} g and a cartridge of {GRAMS_OF_CARTRIDGE} g (common practice).
      </p>
    </>
  );
}

/** Belt deflection and free play of pedals. */
export function PlayTool() {
  const low = useQuantity('low', '30 mm', 'length');
  const high = useQuantity('high', '40 mm', 'length');
  const left = useQuantity('left', '34 mm', 'length');
  const right = useQuantity('right', '36 mm', 'length');
  const equalWithin = useQuantity('equal', '3 mm', 'length');
  return (
    <>
      <div className={styles.fields}>
        <QuantityParam name="low" usual="30 mm" label="Range from" dimension="length" />
        <QuantityParam name="high" usual="40 mm" label="Range to" dimension="length" />
        <QuantityParam name="left" usual="34 mm" label="Left, or the belt" dimension="length" />
        <QuantityParam name="right" usual="36 mm" label="Right" dimension="length" mayBeEmpty />
        <QuantityParam name="equal" usual="3 mm" label="Alike within" dimension="length" />
      </div>
      {low !== null && high !== null && equalWithin !== null ? (
        right === null ? (
          <Verdict
            measurement={{ kind: 'range', label: '', dimension: 'length', low, high }}
            values={{ value: left }}
          />
        ) : (
          <Verdict
            measurement={{ kind: 'freePlay', label: '', low, high, equalWithin, isUsual: false }}
            values={{ left, right }}
          />
        )
      ) : null}
      <p className="soft">A belt has one side: leave the right one empty.</p>
    </>
  );
}

/** How a cutting deck hangs. */
export function DeckTool() {
  const values = {
    left: useQuantity('left', '76 mm', 'length'),
    right: useQuantity('right', '78 mm', 'length'),
    front: useQuantity('front', '74 mm', 'length'),
    rear: useQuantity('rear', '80 mm', 'length'),
  };
  const sidewaysWithin = useQuantity('within', '3 mm', 'length');
  const low = useQuantity('low', '3 mm', 'length');
  const high = useQuantity('high', '9 mm', 'length');
  return (
    <>
      <div className={styles.fields}>
        <QuantityParam name="left" usual="76 mm" label="Left tip" dimension="length" />
        <QuantityParam name="right" usual="78 mm" label="Right tip" dimension="length" />
        <QuantityParam name="front" usual="74 mm" label="Front tip" dimension="length" />
        <QuantityParam name="rear" usual="80 mm" label="Rear tip" dimension="length" />
      </div>
      <p className="soft">The book&rsquo;s figures, or as usual:</p>
      <div className={styles.fields}>
        <QuantityParam name="within" usual="3 mm" label="Sides within" dimension="length" />
        <QuantityParam name="low" usual="3 mm" label="Front lower by" dimension="length" />
        <QuantityParam name="high" usual="9 mm" label="to" dimension="length" />
      </div>
      {sidewaysWithin !== null && low !== null && high !== null ? (
        <Verdict
          measurement={{ kind: 'deck', label: '', sidewaysWithin, low, high, isUsual: false }}
          values={values}
        />
      ) : null}
    </>
  );
}

/** Hours of an attachment by its share of the engine's. */
export function LoaderTool() {
  const share = useQuantity('share', '20 %', 'share');
  const engine = useQuantity('engine', '1361.2', null);
  const from = useQuantity('from', '310', null);
  return (
    <>
      <div className={styles.fields}>
        <QuantityParam name="engine" usual="1361.2" label="Engine hours" dimension={null} />
        <QuantityParam name="from" usual="310" label="Fitted at" dimension={null} />
        <QuantityParam name="share" usual="20 %" label="Share of the time" dimension="share" />
      </div>
      {share !== null && engine !== null && from !== null ? (
        <p className={styles.answer}>
          {hoursWords(shareOf({ kind: 'share', share, hoursAtStart: 0, engineAtStart: from }, engine))} h of
          its own.
        </p>
      ) : null}
    </>
  );
}
