import { AdapterDayjs } from '@mui/x-date-pickers/AdapterDayjs';
import { DatePicker } from '@mui/x-date-pickers/DatePicker';
import { LocalizationProvider } from '@mui/x-date-pickers/LocalizationProvider';
import type { DateOrder } from '@yugator/core';
import dayjs from 'dayjs';
import 'dayjs/locale/en-gb';
import { useSession } from '../session/useSession.js';
import type { Ref } from 'react';

const FORMATS: Record<DateOrder, string> = {
  dayFirst: 'DD/MM/YYYY',
  monthFirst: 'MM/DD/YYYY',
  yearFirst: 'YYYY-MM-DD',
};

const CIVIL = 'YYYY-MM-DD';

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

/** A day, typed in the order of the site or picked from a calendar; weeks begin on Monday. */
export default function CalendarField(props: DayProps) {
  const { label, value, onChange, onBlur, inputRef, fault, hint, readOnly = false, fullWidth = true } = props;
  const { site } = useSession();
  const day = value === '' ? null : dayjs(value, CIVIL);
  return (
    <LocalizationProvider dateAdapter={AdapterDayjs} adapterLocale="en-gb">
      <DatePicker
        label={label}
        value={day}
        format={FORMATS[site.dateOrder]}
        readOnly={readOnly}
        onChange={(chosen) => onChange(chosen ? chosen.format(CIVIL) : '')}
        slotProps={{
          toolbar: { hidden: true },
          textField: {
            fullWidth,
            onBlur,
            inputRef,
            error: fault !== undefined,
            helperText: fault ?? hint,
          },
        }}
      />
    </LocalizationProvider>
  );
}
