import type { Migration } from '../migration.js';

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin';

/** Sessions that end when idle and can be seen, the audit list, keys of the site, and how many photos each person keeps. */
export const frontGate: Migration = {
  name: '0010-front-gate',
  up: [
    // Nobody can tell on which device an older session is: everybody signs in once more.
    `DELETE FROM sessions`,
    `ALTER TABLE sessions
      ADD COLUMN IF NOT EXISTS id ${ID} NOT NULL FIRST,
      ADD COLUMN IF NOT EXISTS device VARCHAR(60) NOT NULL,
      ADD COLUMN IF NOT EXISTS address VARCHAR(45) CHARACTER SET ascii NOT NULL,
      ADD COLUMN IF NOT EXISTS is_own_device BOOLEAN NOT NULL,
      ADD COLUMN IF NOT EXISTS last_seen_at DATETIME(3) NOT NULL,
      DROP PRIMARY KEY,
      ADD PRIMARY KEY (id),
      ADD UNIQUE INDEX IF NOT EXISTS token_hash (token_hash)`,
    `ALTER TABLE sites ADD COLUMN IF NOT EXISTS session_idle_days INT NOT NULL DEFAULT 14`,
    `CREATE TABLE IF NOT EXISTS audit_entries (
      id ${ID} NOT NULL PRIMARY KEY,
      at DATETIME(3) NOT NULL,
      act VARCHAR(30) CHARACTER SET ascii NOT NULL,
      person_id ${ID} NULL,
      person_name VARCHAR(60) NOT NULL,
      subject VARCHAR(200) NOT NULL,
      address VARCHAR(45) CHARACTER SET ascii NOT NULL,
      INDEX (at),
      INDEX (person_id, at),
      FOREIGN KEY (person_id) REFERENCES people (id)
    ) ENGINE = InnoDB`,
    `CREATE TABLE IF NOT EXISTS secrets (
      name VARCHAR(40) CHARACTER SET ascii COLLATE ascii_bin NOT NULL PRIMARY KEY,
      value VARCHAR(100) CHARACTER SET ascii NOT NULL
    ) ENGINE = InnoDB`,
    `CREATE TABLE IF NOT EXISTS photo_counts (
      person_id ${ID} NOT NULL,
      taken_on DATE NOT NULL,
      photos INT NOT NULL,
      PRIMARY KEY (person_id, taken_on),
      FOREIGN KEY (person_id) REFERENCES people (id)
    ) ENGINE = InnoDB`,
  ],
  down: [
    `DROP TABLE IF EXISTS photo_counts`,
    `DROP TABLE IF EXISTS secrets`,
    `DROP TABLE IF EXISTS audit_entries`,
    `ALTER TABLE sites DROP COLUMN IF EXISTS session_idle_days`,
    `DELETE FROM sessions`,
    `ALTER TABLE sessions
      DROP PRIMARY KEY,
      ADD PRIMARY KEY (token_hash),
      DROP INDEX IF EXISTS token_hash,
      DROP COLUMN IF EXISTS id, DROP COLUMN IF EXISTS device, DROP COLUMN IF EXISTS address,
      DROP COLUMN IF EXISTS is_own_device, DROP COLUMN IF EXISTS last_seen_at`,
  ],
};
