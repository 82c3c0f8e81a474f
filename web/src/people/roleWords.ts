import type { Role } from '@yugator/contracts';

export const ROLE_WORDS: Record<Role, string> = {
  crewLead: 'Crew lead',
  mechanic: 'Mechanic',
  operator: 'Operator',
  viewer: 'Viewer',
};

export const ROLE_MEANING: Record<Role, string> = {
  crewLead: 'everything',
  mechanic: 'jobs, readings and the shelf',
  operator: 'readings, walk-rounds, top-ups, defects',
  viewer: 'looks, changes nothing',
};
