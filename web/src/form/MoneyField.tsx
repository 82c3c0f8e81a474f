import { minorOf } from '@yugator/core';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { useController } from 'react-hook-form';
import type { FieldValues, Path, UseFormReturn } from 'react-hook-form';
import { parseFigure } from '../words/figures.js';

interface Props<T extends FieldValues> {
  readonly form: Pick<UseFormReturn<T>, 'control'>;
  readonly name: Path<T>;
  readonly label: string;
  readonly currency: string;
  readonly hint?: string;
  /** an empty field means no amount, not a wrong one */
  readonly mayBeEmpty?: boolean;
}

function shown(minor: unknown, currency: string): string {
  if (typeof minor !== 'number') return '';
  const { perUnit, digits } = minorOf(currency);
  return (minor / perUnit).toFixed(digits);
}

/** An amount of money, typed as 28.90 or 28,90 and kept in minor units. */
export function MoneyField<T extends FieldValues>({
  form,
  name,
  label,
  currency,
  hint,
  mayBeEmpty = false,
}: Props<T>) {
  const { field, fieldState } = useController({ control: form.control, name });
  const [typed, setTyped] = useState(() => shown(field.value, currency));
  const change = (text: string) => {
    setTyped(text);
    const isNone = mayBeEmpty && text.trim() === '';
    field.onChange(isNone ? null : Math.round(parseFigure(text) * minorOf(currency).perUnit));
  };
  return (
    <TextField
      label={`${label} (${currency})`}
      name={name}
      value={typed}
      onChange={(event) => change(event.target.value)}
      onBlur={field.onBlur}
      inputRef={field.ref}
      error={fieldState.error !== undefined}
      helperText={fieldState.error?.message ?? hint}
      slotProps={{ htmlInput: { inputMode: 'decimal', autoComplete: 'off' } }}
    />
  );
}
