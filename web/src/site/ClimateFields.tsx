import TextField from '@mui/material/TextField';
import type { UpdateWorkshopDto } from '@yugator/contracts';
import { degreesOf, inDegrees, parseTemperature } from '@yugator/core';
import { useState } from 'react';
import { Controller } from 'react-hook-form';
import type { UseFormReturn } from 'react-hook-form';
import { useSession } from '../session/useSession.js';
import styles from './houseRules.module.css';

const MONTHS = Array.from({ length: 12 }, (_, month) =>
  new Intl.DateTimeFormat('en-GB', { month: 'long', timeZone: 'UTC' }).format(
    new Date(Date.UTC(2027, month, 1)),
  ),
);

interface DegreesProps {
  readonly label: string;
  /** °C; NaN while it cannot be read */
  readonly value: number;
  readonly fault: string | undefined;
  readonly disabled: boolean;
  readonly onChange: (celsius: number) => void;
}

/** A temperature, typed in °C or °F. */
function Degrees({ label, value, fault, disabled, onChange }: DegreesProps) {
  const { site } = useSession();
  const unit = degreesOf(site.unitSystem);
  const [typed, setTyped] = useState(() => inDegrees(value, unit, 0));
  return (
    <TextField
      size="small"
      value={typed}
      disabled={disabled}
      error={fault !== undefined}
      helperText={fault}
      onChange={({ target }) => {
        setTyped(target.value);
        const celsius = parseTemperature(target.value, unit);
        onChange(celsius === null ? NaN : Math.round(celsius * 10) / 10);
      }}
      slotProps={{ htmlInput: { 'aria-label': label, autoComplete: 'off', className: 'fig' } }}
    />
  );
}

/** The coldest and warmest of each month: oils are judged by what is expected until their next change. */
export function ClimateFields({
  form,
  mayChange,
}: {
  form: UseFormReturn<UpdateWorkshopDto>;
  mayChange: boolean;
}) {
  const { site } = useSession();
  const unit = degreesOf(site.unitSystem);
  return (
    <section className={styles.rule} aria-label="The coldest and warmest of the year">
      <h2>The coldest and warmest of the year</h2>
      <p className="soft">
        Oils are judged by what is expected until their next change. As shipped these are of a plain temperate
        year.
      </p>
      <table className={styles.climate}>
        <thead>
          <tr>
            <th>Month</th>
            <th>Coldest, °{unit}</th>
            <th>Warmest, °{unit}</th>
          </tr>
        </thead>
        <tbody>
          {MONTHS.map((month, index) => (
            <tr key={month}>
              <th scope="row">{month}</th>
              {(['low', 'high'] as const).map((side) => (
                <td key={side}>
                  <Controller
                    control={form.control}
                    name={`climate.${index}.${side}`}
                    render={({ field, fieldState }) => (
                      <Degrees
                        label={`${side === 'low' ? 'Coldest' : 'Warmest'} of ${month}`}
                        value={field.value ?? NaN}
                        fault={fieldState.error?.message}
                        disabled={!mayChange}
                        onChange={field.onChange}
                      />
                    )}
                  />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
