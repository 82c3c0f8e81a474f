import type { Dimension } from '@yugator/core';
import { Controller } from 'react-hook-form';
import type { FieldPathByValue, FieldValues, UseFormReturn } from 'react-hook-form';
import { QuantityInput } from './QuantityInput.js';

interface Props<T extends FieldValues> {
  readonly form: Pick<UseFormReturn<T>, 'control'>;
  readonly name: FieldPathByValue<T, number | null | undefined>;
  readonly label: string;
  readonly dimension: Dimension;
  /** decimals in SI that are sent */
  readonly keptDecimals: number;
  /** shown under the field while nothing is wrong */
  readonly hint?: string | undefined;
  readonly disabled?: boolean | undefined;
  readonly autoFocus?: boolean | undefined;
  readonly ariaLabel?: string | undefined;
  /** an empty field is none, and no fault */
  readonly mayBeEmpty?: boolean;
}

/** A quantity of a form, typed in any unit and sent in SI. What is empty or cannot be read is no number, and refused as such. */
export function QuantityField<T extends FieldValues>({ form, name, mayBeEmpty = false, ...rest }: Props<T>) {
  return (
    <Controller
      control={form.control}
      name={name}
      render={({ field, fieldState }) => (
        <QuantityInput
          {...rest}
          value={field.value ?? null}
          onChange={(value) => field.onChange(value ?? (mayBeEmpty ? null : NaN))}
          onBlur={field.onBlur}
          inputRef={field.ref}
          fault={fieldState.error?.message}
        />
      )}
    />
  );
}
