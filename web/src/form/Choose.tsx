import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { TextFieldProps } from '@mui/material/TextField';
import { keysOf } from '@yugator/core';

/** One of what is offered, and how it is said. */
export type Choices<K extends string> = readonly (readonly [key: K, words: string])[];

type Props<K extends string> = Omit<TextFieldProps, 'select' | 'value' | 'onChange' | 'children'> & {
  readonly value: K;
  readonly choices: Choices<K>;
  readonly onChange: (chosen: K) => void;
};

/** A table of words as choices, in its order. */
export function choicesOf<K extends string>(words: Readonly<Record<K, string>>): Choices<K> {
  return keysOf(words).map((key) => [key, words[key]]);
}

/** A field with a closed list to choose from. */
export function Choose<K extends string>({ choices, onChange, ...field }: Props<K>) {
  return (
    <TextField
      {...field}
      select
      onChange={({ target }) => {
        const chosen = choices.find(([key]) => key === target.value);
        if (chosen) onChange(chosen[0]);
      }}
    >
      {choices.map(([key, words]) => (
        <MenuItem key={key} value={key}>
          {words}
        </MenuItem>
      ))}
    </TextField>
  );
}
