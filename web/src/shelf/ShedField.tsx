import MenuItem from '@mui/material/MenuItem';
import { useQuery } from '@tanstack/react-query';
import type { ShedStockDto } from '@yugator/contracts';
import { NO_SHED } from '@yugator/core';
import { useState } from 'react';
import type { FieldPathByValue, FieldValues, UseFormReturn } from 'react-hook-form';
import { Field } from '../form/Field.js';
import { shelfQueries } from './shelfQueries.js';

/** The sheds between which stock is told apart; none on a site with one. */
export function useSheds(): readonly string[] {
  return useQuery(shelfQueries.sheds()).data?.sheds ?? [];
}

/** The sheds that can be chosen: those of the site, and '' while something lies where nobody said. */
export function shedChoices(sheds: readonly string[], stock: readonly ShedStockDto[]): string[] {
  return [...sheds, ...(stock.some(({ shed }) => shed === null) ? [''] : [])];
}

/** The shed that is thought of first: that in which most lies. */
export function likelyShed(sheds: readonly string[], stock: readonly ShedStockDto[]): string {
  const [most] = [...stock].sort((a, b) => b.quantity - a.quantity);
  return most ? (most.shed ?? '') : (sheds[0] ?? '');
}

interface Props<T extends FieldValues> {
  readonly form: UseFormReturn<T>;
  readonly name: FieldPathByValue<T, string | null | undefined>;
  readonly label: string;
  readonly choices: readonly string[];
}

/** A shed of the site; nothing where it has one. */
export function ShedField<T extends FieldValues>({ form, name, label, choices }: Props<T>) {
  // What it begins with stays what it began with, whatever is chosen later.
  const [begin] = useState(() => form.getValues(name) ?? '');
  if (choices.length === 0) return null;
  return (
    <Field form={form} name={name} label={label} select defaultValue={begin}>
      {choices.map((shed) => (
        <MenuItem key={shed} value={shed}>
          {shed || NO_SHED}
        </MenuItem>
      ))}
    </Field>
  );
}
