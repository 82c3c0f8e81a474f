import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { Controller } from 'react-hook-form';
import type { FieldPathByValue, FieldValues, UseFormReturn } from 'react-hook-form';

interface Props<T extends FieldValues> {
  readonly form: Pick<UseFormReturn<T>, 'control'>;
  readonly name: FieldPathByValue<T, boolean | undefined>;
  readonly label: string;
}

/** Something of a form that is so or not. */
export function CheckField<T extends FieldValues>({ form, name, label }: Props<T>) {
  return (
    <Controller
      control={form.control}
      name={name}
      render={({ field: { value, onChange } }) => (
        <FormControlLabel
          label={label}
          control={<Checkbox checked={value ?? false} onChange={(_event, checked) => onChange(checked)} />}
        />
      )}
    />
  );
}
