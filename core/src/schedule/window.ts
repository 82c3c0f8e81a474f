import type { OwnWindow } from './item.js';

/** Hours before an hours limit at which it becomes ripe: a tenth of the interval, at least 1 h and at most 10 h. */
export function hoursWindow(everyHours: number, own: OwnWindow): number {
  return own.hours ?? Math.min(10, Math.max(1, everyHours / 10));
}

const MOST_DAYS = 14;

/** Days before a calendar limit at which it becomes ripe: a tenth of the interval, at least 1 day and at most 14. */
export function daysWindow(intervalDays: number, own: OwnWindow): number {
  return own.days ?? Math.min(MOST_DAYS, Math.max(1, intervalDays / 10));
}

/** Days before a season edge at which an item becomes ripe, however long ago its last time was. */
export function edgeWindow(own: OwnWindow): number {
  return own.days ?? MOST_DAYS;
}
