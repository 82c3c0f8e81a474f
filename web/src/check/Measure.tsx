import TextField from '@mui/material/TextField';
import { fieldsOf, inUnit, parseQuantity, shownUnit, wantedWords } from '@yugator/core';
import type { MeasureField, Measurement, UnitSystem } from '@yugator/core';
import { useState } from 'react';
import { useSession } from '../session/useSession.js';
import { parseFigure } from '../words/figures.js';
import styles from './check.module.css';
import { judgeMeasured } from './judge.js';

type Values = Readonly<Record<string, number>>;

interface Props {
  readonly measurement: Measurement;
  /** in SI, by the name of the field */
  readonly values: Values;
  readonly onChange: (values: Values) => void;
  readonly disabled?: boolean;
  /** what stands over the fields, where that is not what is measured */
  readonly legend?: string;
}

function parse(typed: string, { dimension }: MeasureField, units: UnitSystem): number | null {
  if (dimension !== null) return parseQuantity(typed, dimension, shownUnit(dimension, units).unit);
  const count = parseFigure(typed);
  return Number.isInteger(count) && count >= 0 ? count : null;
}

function shown(value: number | undefined, { dimension }: MeasureField, units: UnitSystem): string {
  if (value === undefined) return '';
  if (dimension === null) return String(value);
  const { unit, decimals } = shownUnit(dimension, units);
  return inUnit(value, dimension, unit, decimals);
}

/** Figures typed in any unit and judged at once. */
export function Measure({ measurement, values, onChange, disabled = false, legend }: Props) {
  const { site } = useSession();
  const units = site.unitSystem;
  const fields = fieldsOf(measurement);
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>({});
  const change = (field: MeasureField, text: string) => {
    setTyped({ ...typed, [field.name]: text });
    const value = parse(text, field, units);
    const others = Object.fromEntries(Object.entries(values).filter(([name]) => name !== field.name));
    onChange(value === null ? others : { ...others, [field.name]: value });
  };
  // Text typed here stands as long as it says what the field holds: somebody else may have put the figure right.
  const textOf = (field: MeasureField) => {
    const text = typed[field.name];
    const isOurs = text !== undefined && parse(text, field, units) === (values[field.name] ?? null);
    return isOurs ? text : shown(values[field.name], field, units);
  };
  const judgement = judgeMeasured(measurement, values, units);
  const goal = wantedWords(measurement, units);
  return (
    <fieldset className={styles.measure} disabled={disabled}>
      <legend>
        {legend ?? measurement.label}
        {goal && legend === undefined ? <span className="soft"> ({goal})</span> : null}
      </legend>
      <div className={styles.fields}>
        {fields.map((field) => {
          const text = textOf(field);
          const isWrong = text.trim() !== '' && parse(text, field, units) === null;
          const unit = field.dimension === null ? '' : ` (${shownUnit(field.dimension, units).unit})`;
          return (
            <TextField
              key={field.name}
              fullWidth={false}
              label={
                fields.length === 1 && field.dimension !== null ? unit.slice(2, -1) : `${field.label}${unit}`
              }
              value={text}
              onChange={(event) => change(field, event.target.value)}
              error={isWrong}
              helperText={isWrong ? 'Type a figure, with its unit where it is another.' : undefined}
              slotProps={{
                htmlInput: {
                  inputMode: field.dimension === null ? 'numeric' : 'decimal',
                  autoComplete: 'off',
                  className: 'fig',
                },
              }}
            />
          );
        })}
      </div>
      <p role="status" className={judgement ? (judgement.isGood ? styles.good : styles.bad) : undefined}>
        {judgement ? `${judgement.isGood ? '✓' : '✗'} ${judgement.words}` : ''}
      </p>
    </fieldset>
  );
}
