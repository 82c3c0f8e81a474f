import type { Migration } from '../migration.js';

/** Ticks and measurements that were typed without signal: when each was typed, and what others measured meanwhile. */
export const lateSteps: Migration = {
  name: '0022-late-steps',
  up: [
    `ALTER TABLE job_steps
      ADD COLUMN IF NOT EXISTS ticked_at DATETIME(3) NULL AFTER found,
      ADD COLUMN IF NOT EXISTS measured LONGTEXT NULL CHECK (JSON_VALID(measured)) AFTER ticked_at`,
  ],
  down: [`ALTER TABLE job_steps DROP COLUMN IF EXISTS measured, DROP COLUMN IF EXISTS ticked_at`],
};
