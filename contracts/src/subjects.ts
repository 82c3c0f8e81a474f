/** What can change under somebody's eyes: the names that the live feed carries and queries go stale by. */
export const SUBJECTS = [
  'machines',
  'readings',
  'jobs',
  'shelf',
  'plan',
  'people',
  'books',
  'seasons',
  'site',
  'usedOil',
] as const;
export type Subject = (typeof SUBJECTS)[number];
