import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { useId } from 'react';
import { shelfQueries } from '../shelf/shelfQueries.js';

interface Props {
  /** what was said so far; '' where nothing was */
  readonly value: string;
  /** what the card approves, in words */
  readonly approved: readonly string[];
  readonly onChange: (poured: string) => void;
}

/** What is poured: a fluid of the shelf, what the card approves, or in words of one's own. It stands on the label. */
export function WhatGoesIn({ value, approved, onChange }: Props) {
  const { data = [] } = useQuery(shelfQueries.list());
  const offered = useId();
  const shelf = data.filter(({ kind }) => kind === 'fluid').map(({ name }) => name);
  return (
    <>
      <TextField
        label="What goes in"
        helperText="As it stands on the can: it is printed on the label"
        value={value}
        onChange={(event) => onChange(event.target.value)}
        slotProps={{ htmlInput: { list: offered, maxLength: 80 } }}
        sx={{ maxWidth: 420 }}
      />
      <datalist id={offered}>
        {[...new Set([...shelf, ...approved])].map((words) => (
          <option key={words} value={words} />
        ))}
      </datalist>
    </>
  );
}
