/** What a person may do, most first. */
export const ROLES = ['crewLead', 'mechanic', 'operator', 'viewer'] as const;

/**
 * - `crewLead`: everything
 * - `mechanic`: jobs, readings, shelf
 * - `operator`: readings
 * - `viewer`: reads
 */
export type Role = (typeof ROLES)[number];
