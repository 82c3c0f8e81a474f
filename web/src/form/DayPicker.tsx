import TextField from '@mui/material/TextField';
import { lazy, Suspense } from 'react';
import type { Ref } from 'react';

export interface DayProps {
  readonly label: string;
  /** civil date; '' for none */
  readonly value: string;
  /** the civil date, '' for none, or what is no day of the calendar as it was typed so far */
  readonly onChange: (day: string) => void;
  readonly onBlur?: () => void;
  readonly inputRef?: Ref<HTMLInputElement>;
  readonly fault?: string | undefined;
  readonly hint?: string | undefined;
  readonly readOnly?: boolean;
  readonly fullWidth?: boolean;
}

/** The calendar is a large piece, and comes when the first day is asked for. */
const CalendarField = lazy(() => import('./CalendarField.js'));

/** A day, typed in the order of the site or picked from a calendar. */
export function DayPicker(props: DayProps) {
  const { label, hint, fullWidth = true } = props;
  return (
    <Suspense
      fallback={
        <TextField
          label={label}
          helperText={hint}
          fullWidth={fullWidth}
          slotProps={{ htmlInput: { readOnly: true } }}
        />
      }
    >
      <CalendarField {...props} />
    </Suspense>
  );
}
