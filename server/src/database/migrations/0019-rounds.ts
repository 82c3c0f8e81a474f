import type { Migration } from '../migration.js';

/** A record is that of a visit, or of a walk round the machine. */
export const rounds: Migration = {
  name: '0019-rounds',
  up: [
    `ALTER TABLE jobs
      ADD COLUMN IF NOT EXISTS kind VARCHAR(10) CHARACTER SET ascii NOT NULL DEFAULT 'visit' AFTER machine_id`,
  ],
  down: [`ALTER TABLE jobs DROP COLUMN IF EXISTS kind`],
};
