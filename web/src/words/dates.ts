import { civilDateAt, instant as instantOf, onceEach } from '@yugator/core';

const DAY_MS = 86_400_000;
const LOCALE = 'en-GB';

function format(options: Intl.DateTimeFormatOptions): Intl.DateTimeFormat {
  return new Intl.DateTimeFormat(LOCALE, { timeZone: 'UTC', ...options });
}

const DAY_FORMATS = {
  short: { day: 'numeric', month: 'short' },
  withYear: { day: 'numeric', month: 'short', year: 'numeric' },
  long: { weekday: 'long', day: 'numeric', month: 'long' },
  month: { month: 'long', year: 'numeric' },
  weekday: { weekday: 'long' },
  shortWeekday: { weekday: 'short' },
} as const satisfies Record<string, Intl.DateTimeFormatOptions>;
type DayFormat = keyof typeof DAY_FORMATS;

/** Made when first needed: each takes some milliseconds, and a page that opens needs one or two. */
const dayFormat = onceEach((name: DayFormat) => format(DAY_FORMATS[name]));

function dayIn(name: DayFormat, date: string): string {
  return dayFormat(name).format(Date.parse(date));
}

/** "12 May", or "12 May 2025" in another year than `today`. Both are civil dates. */
export function dayWords(date: string, today: string): string {
  return dayIn(date.slice(0, 4) === today.slice(0, 4) ? 'short' : 'withYear', date);
}

/** "today", "yesterday", "tomorrow", "on Thursday" within the coming week, else the day. */
export function nearDayWords(date: string, today: string): string {
  const days = Math.round((Date.parse(date) - Date.parse(today)) / DAY_MS);
  if (days === 0) return 'today';
  if (days === 1) return 'tomorrow';
  if (days === -1) return 'yesterday';
  if (days > 1 && days < 7) return `on ${dayIn('weekday', date)}`;
  return dayWords(date, today);
}

/** "November 2026" of 2026-11. */
export function monthWords(month: string): string {
  return dayIn('month', `${month}-01`);
}

/** "Tuesday 13 May" */
export function longDayWords(date: string): string {
  return dayIn('long', date).replace(',', '');
}

/** "Tue 13 May" */
export function shortDayWords(date: string): string {
  return `${dayIn('shortWeekday', date)} ${dayIn('short', date)}`;
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
  const at = instantOf(instant);
  const isThisYear = civilDateAt(at, timeZone).slice(0, 4) === today.slice(0, 4);
  return (isThisYear ? MOMENT : MOMENT_WITH_YEAR)(timeZone).format(at);
}
