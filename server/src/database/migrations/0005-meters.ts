import type { Migration } from '../migration.js';

const ID = 'CHAR(36) CHARACTER SET ascii';

/** Attachments with meters of their own, and photos of readings. */
export const meters: Migration = {
  name: '0005-meters',
  up: [
    `ALTER TABLE attachments MODIFY share DECIMAL(5, 3) NULL`,
    `ALTER TABLE meter_segments
      ADD COLUMN IF NOT EXISTS meter VARCHAR(10) NOT NULL DEFAULT 'engine',
      ADD UNIQUE INDEX IF NOT EXISTS meter_starts (machine_id, meter, starts_at),
      DROP INDEX IF EXISTS machine_id`,
    `ALTER TABLE readings ADD COLUMN IF NOT EXISTS meter VARCHAR(10) NOT NULL DEFAULT 'engine'`,
    `CREATE TABLE IF NOT EXISTS reading_photos (
      reading_id ${ID} NOT NULL PRIMARY KEY,
      bytes MEDIUMBLOB NOT NULL,
      FOREIGN KEY (reading_id) REFERENCES readings (id)
    ) ENGINE = InnoDB`,
  ],
  down: [
    `DROP TABLE IF EXISTS reading_photos`,
    // What an attachment's own meter said cannot be kept where only the engine's is known.
    `UPDATE jobs SET reading_id = NULL WHERE reading_id IN (SELECT id FROM readings WHERE meter <> 'engine')`,
    `DELETE FROM readings WHERE meter <> 'engine'`,
    `ALTER TABLE readings DROP COLUMN IF EXISTS meter`,
    `DELETE FROM meter_segments WHERE meter <> 'engine'`,
    `ALTER TABLE meter_segments
      ADD UNIQUE INDEX IF NOT EXISTS machine_id (machine_id, starts_at),
      DROP INDEX IF EXISTS meter_starts,
      DROP COLUMN IF EXISTS meter`,
    `DELETE FROM attachments WHERE share IS NULL`,
    `ALTER TABLE attachments MODIFY share DECIMAL(5, 3) NOT NULL`,
  ],
};
