import type { Migration } from '../migration.js';

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin';

/** By when machines are ready and laid up, on which days they must not be missing, and what was known against a plan when it was published. */
export const planMargins: Migration = {
  name: '0033-plan-margins',
  up: [
    `ALTER TABLE sites
      ADD COLUMN IF NOT EXISTS ready_days TINYINT NOT NULL DEFAULT 3 CHECK (ready_days BETWEEN 0 AND 60),
      ADD COLUMN IF NOT EXISTS lay_up_days TINYINT NOT NULL DEFAULT 21 CHECK (lay_up_days BETWEEN 0 AND 90),
      ADD COLUMN IF NOT EXISTS plan_known JSON NULL`,
    `CREATE TABLE IF NOT EXISTS needed_days (
      id ${ID} NOT NULL PRIMARY KEY,
      machine_id ${ID} NULL,
      from_day DATE NOT NULL,
      until_day DATE NOT NULL,
      note VARCHAR(80) NOT NULL DEFAULT '',
      CHECK (until_day >= from_day),
      KEY needed_days_until (until_day),
      FOREIGN KEY (machine_id) REFERENCES machines (id)
    ) ENGINE = InnoDB`,
  ],
  down: [
    `DROP TABLE IF EXISTS needed_days`,
    `ALTER TABLE sites DROP COLUMN IF EXISTS ready_days, DROP COLUMN IF EXISTS lay_up_days, DROP COLUMN IF EXISTS plan_known`,
  ],
};
