import TextField from '@mui/material/TextField';
import { inUnit, parseQuantity, shownUnit } from '@yugator/core';
import { useState } from 'react';
import { useSession } from '../session/useSession.js';

interface Props {
  readonly label: string;
  /** null while it is empty */
  readonly litres: number | null;
  readonly onChange: (litres: number | null) => void;
}

/** A volume typed in any unit; empty is none. */
export function LitresField({ label, litres, onChange }: Props) {
  const { site } = useSession();
  const { unit, decimals } = shownUnit('volume', site.unitSystem);
  const [typed, setTyped] = useState<string | null>(null);
  const shown = litres === null ? '' : inUnit(litres, 'volume', unit, decimals);
  // Text typed here stands as long as it says what the field holds, or nothing that can be read.
  const parsed = typed === null ? null : parseQuantity(typed, 'volume', unit);
  const text = typed !== null && (parsed === litres || parsed === null) ? typed : shown;
  const isWrong = text.trim() !== '' && parseQuantity(text, 'volume', unit) === null;
  return (
    <TextField
      fullWidth={false}
      label={`${label} (${unit})`}
      value={text}
      onChange={(event) => {
        setTyped(event.target.value);
        const value = parseQuantity(event.target.value, 'volume', unit);
        if (value !== null || event.target.value.trim() === '') onChange(value);
      }}
      error={isWrong}
      helperText={isWrong ? 'Type a volume, such as 3.2 L or 2 qt.' : undefined}
      sx={{ width: 170 }}
    />
  );
}
