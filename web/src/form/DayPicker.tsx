import TextField from '@mui/material/TextField';
import { parseCivilDate, typedDay } from '@yugator/core';
import { lazy, Suspense } from 'react';
import { useSession } from '../session/useSession.js';
import type { DayProps } from './CalendarField.js';

/** The calendar is a large piece and comes after the page; until then the day can be read. */
const CalendarField = lazy(() => import('./CalendarField.js'));

/** A day, typed in the order of the site or picked from a calendar. */
export function DayPicker(props: DayProps) {
  const { label, value, hint, fullWidth = true } = props;
  const { site } = useSession();
  const day = parseCivilDate(value);
  return (
    <Suspense
      fallback={
        <TextField
          label={label}
          value={day ? typedDay(day, site.dateOrder) : ''}
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
