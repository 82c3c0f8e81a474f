import Autocomplete from '@mui/material/Autocomplete';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
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
  const shelf = data.filter(({ kind }) => kind === 'fluid').map(({ name }) => name);
  return (
    <Autocomplete
      freeSolo
      size="small"
      options={[...new Set([...shelf, ...approved])]}
      inputValue={value}
      onInputChange={(_event, words) => onChange(words)}
      sx={{ maxWidth: 420 }}
      renderInput={(params) => (
        <TextField
          {...params}
          label="What goes in"
          helperText="As it stands on the can: it is printed on the label"
        />
      )}
    />
  );
}
