import { onceEach } from '@yugator/core';

const DAY_MS = 86_400_000;
const LOCALE = 'en-GB';

function format(options: Intl.DateTimeFormatOptions): Intl.DateTimeFormat {
  return new Intl.DateTimeFormat(LOCALE, { timeZone: 'UTC', ...options });
}

const SHORT = format({ day: 'numeric', month: 'short' });
const WITH_YEAR = format({ day: 'numeric', month: 'short', year: 'numeric' });
const LONG = format({ weekday: 'long', day: 'numeric', month: 'long' });
const MONTH = format({ month: 'long', year: 'numeric' });
const WEEKDAY = format({ weekday: 'long' });
const SHORT_WEEKDAY = format({ weekday: 'short' });

/** "12 May", or "12 May 2025" in another year than `today`. Both are civil dates. */
export function dayWords(date: string, today: string): string {
  return (date.slice(0, 4) === today.slice(0, 4) ? SHORT : WITH_YEAR).format(Date.parse(date));
}

/** "today", "yesterday", "tomorrow", "on Thursday" within the coming week, else the day. */
export function nearDayWords(date: string, today: string): string {
  const days = Math.round((Date.parse(date) - Date.parse(today)) / DAY_MS);
  if (days === 0) return 'today';
  if (days === 1) return 'tomorrow';
  if (days === -1) return 'yesterday';
  if (days > 1 && days < 7) return `on ${WEEKDAY.format(Date.parse(date))}`;
  return dayWords(date, today);
}

/** "November 2026" of 2026-11. */
export function monthWords(month: string): string {
  return MONTH.format(Date.parse(`${month}-01`));
}

/** "Tuesday 13 May" */
export function longDayWords(date: string): string {
  return LONG.format(Date.parse(date)).replace(',', '');
}

/** "Tue 13 May" */
export function shortDayWords(date: string): string {
  const day = Date.parse(date);
  return `${SHORT_WEEKDAY.format(day)} ${SHORT.format(day)}`;
}

function momentFormat(year: Intl.DateTimeFormatOptions) {
  return onceEach((timeZone) =>
    format({
      timeZone,
      day: 'numeric',
      month: 'short',
      ...year,
      hour: '2-digit',
      minute: '2-digit',
      hourCycle: 'h23',
    }),
  );
}
const MOMENT = momentFormat({});
const MOMENT_WITH_YEAR = momentFormat({ year: 'numeric' });

/** The moment as the site's clock shows it: "12 May, 17:10", with the year where it is not that of `today`. */
export function momentWords(instant: string, timeZone: string, today: string): string {
  const formatIn = instant.slice(0, 4) === today.slice(0, 4) ? MOMENT : MOMENT_WITH_YEAR;
  return formatIn(timeZone).format(Date.parse(instant));
}
