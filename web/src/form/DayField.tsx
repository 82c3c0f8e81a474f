import { Controller } from 'react-hook-form';
import type { FieldPathByValue, FieldValues, UseFormReturn } from 'react-hook-form';
import { DayPicker } from './DayPicker.js';

interface Props<T extends FieldValues> {
  readonly form: Pick<UseFormReturn<T>, 'control'>;
  readonly name: FieldPathByValue<T, string | null | undefined>;
  readonly label: string;
  /** shown under the field while nothing is wrong */
  readonly hint?: string | undefined;
  /** no day at all is left out of what is sent */
  readonly blankIsNothing?: boolean;
  readonly readOnly?: boolean;
}

/** A day of a form. */
export function DayField<T extends FieldValues>({ form, name, blankIsNothing, ...rest }: Props<T>) {
  return (
    <Controller
      control={form.control}
      name={name}
      render={({ field, fieldState }) => (
        <DayPicker
          {...rest}
          value={field.value ?? ''}
          onChange={(day) => field.onChange(blankIsNothing && day === '' ? undefined : day)}
          onBlur={field.onBlur}
          inputRef={field.ref}
          fault={fieldState.error?.message}
        />
      )}
    />
  );
}
