import type { StockUnit } from '@yugator/core';
import type { FieldPathByValue, FieldValues, UseFormReturn } from 'react-hook-form';
import { Field } from './Field.js';
import { QuantityField } from './QuantityField.js';

interface Props<T extends FieldValues> {
  readonly form: UseFormReturn<T>;
  readonly name: FieldPathByValue<T, number | null | undefined>;
  readonly unit: StockUnit;
  readonly label: string;
  readonly ariaLabel?: string | undefined;
  readonly autoFocus?: boolean | undefined;
  readonly hint?: string | undefined;
}

/** A quantity of stock: pieces as a number, a volume in any unit. */
export function StockField<T extends FieldValues>({ unit, ariaLabel, hint, autoFocus, ...rest }: Props<T>) {
  const field = { ...rest, hint, autoFocus };
  if (unit === 'litre')
    return <QuantityField {...field} ariaLabel={ariaLabel} dimension="volume" keptDecimals={3} />;
  return <Field {...field} figure slotProps={{ htmlInput: { 'aria-label': ariaLabel } }} />;
}
