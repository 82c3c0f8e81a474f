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

/** An open job of which something was ticked, found or decided: its own page alone shows that. */
export interface JobMove {
  readonly id: string;
  /** which it has since */
  readonly version: number;
}

/** What the live feed tells at once. */
export interface Changes {
  readonly subjects: readonly Subject[];
  readonly jobs: readonly JobMove[];
}
