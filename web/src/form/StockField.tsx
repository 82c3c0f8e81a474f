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
  /** a volume left empty is none, and no fault */
  readonly mayBeEmpty?: boolean;
}

/** A quantity of stock: pieces as a number, a volume in any unit. */
export function StockField<T extends FieldValues>({
  unit,
  ariaLabel,
  hint,
  autoFocus,
  mayBeEmpty = false,
  ...rest
}: Props<T>) {
  const field = { ...rest, hint, autoFocus };
  if (unit === 'litre')
    return (
      <QuantityField
        {...field}
        ariaLabel={ariaLabel}
        dimension="volume"
        keptDecimals={3}
        mayBeEmpty={mayBeEmpty}
      />
    );
  return <Field {...field} figure slotProps={{ htmlInput: { 'aria-label': ariaLabel } }} />;
}
