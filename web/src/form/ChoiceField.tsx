import { Controller } from 'react-hook-form';
import type { Control, FieldPathByValue, FieldValues } from 'react-hook-form';
import { Choose } from './Choose.js';
import type { Choices } from './Choose.js';

interface Props<T extends FieldValues, Sent> {
  readonly form: { readonly control: Control<T, unknown, Sent> };
  readonly name: FieldPathByValue<T, string>;
  readonly label: string;
  readonly choices: Choices<string>;
  readonly hint?: string;
}

/** A field of a form with a closed list to choose from. */
export function ChoiceField<T extends FieldValues, Sent>({
  form,
  name,
  label,
  choices,
  hint,
}: Props<T, Sent>) {
  return (
    <Controller
      control={form.control}
      name={name}
      render={({ field: { value, ref, ...field }, fieldState }) => (
        <Choose
          {...field}
          inputRef={ref}
          label={label}
          value={value ?? ''}
          choices={choices}
          error={fieldState.error !== undefined}
          helperText={fieldState.error?.message ?? hint}
        />
      )}
    />
  );
}
