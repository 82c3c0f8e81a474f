import MenuItem from '@mui/material/MenuItem';
import type { FieldValues, Path, UseFormReturn } from 'react-hook-form';
import type { Choices } from './Choose.js';
import { Field } from './Field.js';

interface Props<T extends FieldValues> {
  readonly form: Pick<UseFormReturn<T>, 'register' | 'formState' | 'getValues'>;
  readonly name: Path<T>;
  readonly label: string;
  readonly choices: Choices<string>;
  readonly hint?: string;
}

/** A field of a form with a closed list to choose from. */
export function ChoiceField<T extends FieldValues>({ form, name, label, choices, hint }: Props<T>) {
  return (
    <Field
      form={form}
      name={name}
      label={label}
      select
      defaultValue={form.getValues(name)}
      {...(hint === undefined ? {} : { hint })}
    >
      {choices.map(([key, words]) => (
        <MenuItem key={key} value={key}>
          {words}
        </MenuItem>
      ))}
    </Field>
  );
}
