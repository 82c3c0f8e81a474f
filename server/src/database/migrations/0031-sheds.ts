import type { Migration } from '../migration.js';

/** In which shed stock came or went; of what moved before, nobody said. */
export const sheds: Migration = {
  name: '0031-sheds',
  up: [
    `ALTER TABLE movements
      ADD COLUMN IF NOT EXISTS shed VARCHAR(60) NULL,
      ADD INDEX IF NOT EXISTS movements_shed (shed)`,
  ],
  down: [
    // Out of one shed and into another: to whoever knows no sheds, nothing happened.
    `DELETE FROM movements WHERE kind = 'moved'`,
    `ALTER TABLE movements
      DROP INDEX IF EXISTS movements_shed,
      DROP COLUMN IF EXISTS shed`,
  ],
};
