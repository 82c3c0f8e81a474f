import type { Migration } from '../migration.js';

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin';

/** Devices that a shed shares, and the codes with which people go in there. */
export const shedDevices: Migration = {
  name: '0023-shed-devices',
  up: [
    `CREATE TABLE IF NOT EXISTS shed_devices (
      id ${ID} NOT NULL PRIMARY KEY,
      token_hash CHAR(64) CHARACTER SET ascii COLLATE ascii_bin NOT NULL UNIQUE,
      name VARCHAR(80) NOT NULL,
      made_by_id ${ID} NOT NULL,
      made_at DATETIME(3) NOT NULL,
      FOREIGN KEY (made_by_id) REFERENCES people (id)
    ) ENGINE = InnoDB`,
    `ALTER TABLE people ADD COLUMN IF NOT EXISTS shed_code_hash VARCHAR(255) NULL AFTER password_hash`,
    `ALTER TABLE sessions
      ADD COLUMN IF NOT EXISTS shed_device_id ${ID} NULL AFTER is_own_device,
      ADD CONSTRAINT sessions_shed_device FOREIGN KEY IF NOT EXISTS (shed_device_id)
        REFERENCES shed_devices (id) ON DELETE CASCADE`,
  ],
  down: [
    `ALTER TABLE sessions
      DROP FOREIGN KEY IF EXISTS sessions_shed_device,
      DROP COLUMN IF EXISTS shed_device_id`,
    `ALTER TABLE people DROP COLUMN IF EXISTS shed_code_hash`,
    `DROP TABLE IF EXISTS shed_devices`,
  ],
};
