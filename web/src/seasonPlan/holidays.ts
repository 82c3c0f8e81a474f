import { addDays, civilDate } from '@yugator/core';
import ICAL from 'ical.js';

/** A day off that a calendar tells. */
export interface Holiday {
  /** civil date */
  readonly on: string;
  readonly note: string;
}

/** From the first to the last day that is looked at. */
export interface DaySpan {
  readonly from: string;
  readonly until: string;
}

/** A larger file is no calendar of holidays. */
export const MOST_BYTES = 1_000_000;
const MOST_EVENTS = 5_000;
/** Of one event: a daily one for centuries comes to an end here. */
const MOST_TIMES = 2_000;
const LONGEST_NOTE = 80;

/** Why a file is not read, in a sentence. */
export class NoCalendar extends Error {}

function dayOf({ year, month, day }: ICAL.Time): string {
  const two = (value: number) => String(value).padStart(2, '0');
  return `${year}-${two(month)}-${two(day)}`;
}

/** The days of one time of an event; the end of whole days is the day after. */
function daysFrom(first: string, event: ICAL.Event): string[] {
  const length = event.startDate.isDate ? Math.round(event.duration.toSeconds() / 86_400) : 1;
  return Array.from({ length: Math.min(366, Math.max(1, length)) }, (_, at) => addDays(civilDate(first), at));
}

function daysOf(event: ICAL.Event, { from, until }: DaySpan): string[] {
  if (!event.isRecurring()) return daysFrom(dayOf(event.startDate), event);
  const days: string[] = [];
  const times = event.iterator();
  for (let count = 0; count < MOST_TIMES; count += 1) {
    const next = times.next();
    const first = next ? dayOf(next) : null;
    if (first === null || first > until) break;
    if (addDays(civilDate(first), 366) >= from) days.push(...daysFrom(first, event));
  }
  return days;
}

function eventsOf(text: string): ICAL.Event[] {
  try {
    const parsed = ICAL.parse(text) as unknown[];
    const roots = (Array.isArray(parsed[0]) ? parsed : [parsed]) as ConstructorParameters<
      typeof ICAL.Component
    >[0][];
    return roots
      .flatMap((root) => new ICAL.Component(root).getAllSubcomponents('vevent'))
      .map((event) => new ICAL.Event(event));
  } catch {
    throw new NoCalendar('This is not a calendar file. Choose one that ends in .ics.');
  }
}

/** The days off that an iCalendar file (RFC 5545) tells within a span, in order, each once; cancelled events are left out. */
export function holidaysOf(text: string, span: DaySpan): Holiday[] {
  const events = eventsOf(text);
  if (events.length > MOST_EVENTS)
    throw new NoCalendar(`The file tells ${events.length} events. A calendar of holidays has fewer.`);
  const found = new Map<string, string>();
  for (const event of events) {
    const status = String(event.component.getFirstPropertyValue('status') ?? '');
    if (status.toUpperCase() === 'CANCELLED' || !event.startDate) continue;
    for (const on of daysOf(event, span)) {
      if (on < span.from || on > span.until || found.has(on)) continue;
      found.set(on, (event.summary ?? '').slice(0, LONGEST_NOTE));
    }
  }
  return [...found].map(([on, note]) => ({ on, note })).sort((a, b) => a.on.localeCompare(b.on));
}
