/**
 * A write that could not be sent when it was typed says how many whole seconds ago that was. An age does no harm where a phone's
 * clock is wrong.
 */
export const TYPED_AGO = 'typed-ago';
/** The id of the person who typed it: it is not taken for somebody else's. */
export const TYPED_BY = 'typed-by';

/** Days for which a write is known by its Idempotency-Key, and so for which it may wait. */
export const MOST_DAYS_AGO = 30;
const MOST_SECONDS_AGO = MOST_DAYS_AGO * 86_400;

/** The age that a header tells, in whole seconds; null for one that is none, or older than any write may be. */
export function readTypedAgo(header: string): number | null {
  if (!/^\d{1,9}$/.test(header)) return null;
  const seconds = Number(header);
  return seconds <= MOST_SECONDS_AGO ? seconds : null;
}
