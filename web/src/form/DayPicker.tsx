import TextField from '@mui/material/TextField';
import { lazy, Suspense } from 'react';
import type { DayProps } from './CalendarField.js';

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
