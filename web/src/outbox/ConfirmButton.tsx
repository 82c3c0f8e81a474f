import Button from '@mui/material/Button';
import { useState } from 'react';

interface Props {
  readonly word: string;
  /** its word at the second press, which does it */
  readonly again: string;
  /** what it is for, where its words alone would not tell */
  readonly of: string;
  readonly onConfirm: () => void;
}

/** A button that asks twice. */
export function ConfirmButton({ word, again, of, onConfirm }: Props) {
  const [asked, setAsked] = useState(false);
  const shown = asked ? again : word;
  return (
    <Button
      variant="text"
      color={asked ? 'error' : 'inherit'}
      onClick={() => (asked ? onConfirm() : setAsked(true))}
      onBlur={() => setAsked(false)}
      aria-label={`${shown}: ${of}`}
    >
      {shown}
    </Button>
  );
}
