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
  const [typed, setTyped] = useState(litres === null ? '' : inUnit(litres, 'volume', unit, decimals));
  const isWrong = typed.trim() !== '' && parseQuantity(typed, 'volume', unit) === null;
  return (
    <TextField
      fullWidth={false}
      label={`${label} (${unit})`}
      value={typed}
      onChange={(event) => {
        setTyped(event.target.value);
        const parsed = parseQuantity(event.target.value, 'volume', unit);
        if (parsed !== null || event.target.value.trim() === '') onChange(parsed);
      }}
      error={isWrong}
      helperText={isWrong ? 'Type a volume, such as 3.2 L or 2 qt.' : undefined}
      sx={{ width: 170 }}
    />
  );
}
