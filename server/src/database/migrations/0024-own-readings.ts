import type { Migration } from '../migration.js';

/** Whose machines they are is read from who read them of late; among a million readings that needs an index. */
export const ownReadings: Migration = {
  name: '0024-own-readings',
  up: [`ALTER TABLE readings ADD INDEX IF NOT EXISTS entered_lately (entered_by_id, read_at)`],
  // The reference to the person keeps an index of its own.
  down: [
    `ALTER TABLE readings ADD INDEX IF NOT EXISTS entered_by_id (entered_by_id)`,
    `ALTER TABLE readings DROP INDEX IF EXISTS entered_lately`,
  ],
};
