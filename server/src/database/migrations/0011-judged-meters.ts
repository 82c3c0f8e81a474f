import type { Migration } from '../migration.js';

/** Judgements on hours of an attachment, and what lateness of a line costs where the crew lead says so. */
export const judgedMeters: Migration = {
  name: '0011-judged-meters',
  up: [
    `ALTER TABLE job_items
      ADD COLUMN IF NOT EXISTS until_meter VARCHAR(10) CHARACTER SET ascii NULL AFTER until_life`,
    `ALTER TABLE items
      ADD COLUMN IF NOT EXISTS consequence VARCHAR(10) CHARACTER SET ascii NULL AFTER window_days`,
  ],
  down: [
    `ALTER TABLE items DROP COLUMN IF EXISTS consequence`,
    `ALTER TABLE job_items DROP COLUMN IF EXISTS until_meter`,
  ],
};
