import TextField from '@mui/material/TextField';
import type { TextFieldProps } from '@mui/material/TextField';
import { get } from 'react-hook-form';
import type { FieldValues, Path, UseFormReturn } from 'react-hook-form';
import { parseFigure } from '../words/figures.js';

type Own<T extends FieldValues> = {
  form: Pick<UseFormReturn<T>, 'register' | 'formState'>;
  name: Path<T>;
  /** shown under the field while nothing is wrong */
  hint?: string | undefined;
  /** a figure typed with a point or comma is taken as a number; where it is optional, an empty field as none. What cannot be read is refused. */
  figure?: boolean | 'optional';
  /** an empty field is left out of what is sent */
  blankIsNothing?: boolean;
};

/** How what stands in a field becomes the value of the form. */
function readerOf(figure: Own<FieldValues>['figure'], blankIsNothing = false): (typed: unknown) => unknown {
  if (figure) {
    return (typed) => {
      if (typeof typed !== 'string') return typed;
      return figure === 'optional' && typed.trim() === '' ? null : parseFigure(typed);
    };
  }
  return (typed) => (blankIsNothing && typed === '' ? undefined : typed);
}

/** A field of a form: its label, what is typed, and under it the fault or a hint. */
export function Field<T extends FieldValues>({
  form,
  name,
  hint,
  figure,
  blankIsNothing,
  ...rest
}: Own<T> & Omit<TextFieldProps, 'form' | 'name'>) {
  const fault: { message?: string } | undefined = get(form.formState.errors, name);
  const message = fault?.message;
  const { ref, ...field } = form.register(name, { setValueAs: readerOf(figure, blankIsNothing) });
  return (
    <TextField
      {...field}
      {...rest}
      inputRef={(node: HTMLInputElement | null) => {
        ref(node);
        // A figure that nobody typed yet is no number, and shows as nothing.
        if (figure && node?.value === 'NaN') node.value = '';
      }}
      error={message !== undefined}
      helperText={message ?? hint}
      slotProps={{
        ...rest.slotProps,
        htmlInput: {
          ...(figure ? { inputMode: 'decimal', autoComplete: 'off' } : {}),
          ...rest.slotProps?.htmlInput,
        },
      }}
    />
  );
}
