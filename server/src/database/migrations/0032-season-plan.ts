import type { Migration } from '../migration.js';

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin';

/** When the workshop is open, and which machine comes on which day for what. */
export const seasonPlan: Migration = {
  name: '0032-season-plan',
  up: [
    `CREATE TABLE IF NOT EXISTS workshop_weekdays (
      weekday TINYINT NOT NULL PRIMARY KEY CHECK (weekday BETWEEN 0 AND 6),
      minutes SMALLINT NOT NULL CHECK (minutes >= 0),
      bays TINYINT NOT NULL CHECK (bays >= 0)
    ) ENGINE = InnoDB`,
    `CREATE TABLE IF NOT EXISTS workshop_exceptions (
      on_day DATE NOT NULL PRIMARY KEY,
      minutes SMALLINT NOT NULL CHECK (minutes >= 0),
      bays TINYINT NOT NULL CHECK (bays >= 0),
      note VARCHAR(80) NOT NULL DEFAULT ''
    ) ENGINE = InnoDB`,
    `ALTER TABLE sites
      ADD COLUMN IF NOT EXISTS workshop_days_version INT NOT NULL DEFAULT 1,
      ADD COLUMN IF NOT EXISTS plan_version INT NOT NULL DEFAULT 1,
      ADD COLUMN IF NOT EXISTS plan_published_at DATETIME(3) NULL,
      ADD COLUMN IF NOT EXISTS plan_published_by_id ${ID} NULL,
      ADD CONSTRAINT sites_plan_published_by FOREIGN KEY IF NOT EXISTS (plan_published_by_id) REFERENCES people (id)`,
    `CREATE TABLE IF NOT EXISTS visit_cards (
      id ${ID} NOT NULL PRIMARY KEY,
      machine_id ${ID} NOT NULL,
      on_day DATE NOT NULL,
      is_locked BOOLEAN NOT NULL,
      minutes SMALLINT NOT NULL,
      UNIQUE KEY visit_cards_day (machine_id, on_day),
      KEY visit_cards_on (on_day),
      FOREIGN KEY (machine_id) REFERENCES machines (id)
    ) ENGINE = InnoDB`,
    `CREATE TABLE IF NOT EXISTS visit_card_items (
      card_id ${ID} NOT NULL,
      item_id ${ID} NOT NULL,
      PRIMARY KEY (card_id, item_id),
      FOREIGN KEY (card_id) REFERENCES visit_cards (id) ON DELETE CASCADE,
      FOREIGN KEY (item_id) REFERENCES items (id)
    ) ENGINE = InnoDB`,
  ],
  down: [
    `DROP TABLE IF EXISTS visit_card_items`,
    `DROP TABLE IF EXISTS visit_cards`,
    `ALTER TABLE sites DROP FOREIGN KEY IF EXISTS sites_plan_published_by`,
    `ALTER TABLE sites
      DROP COLUMN IF EXISTS workshop_days_version, DROP COLUMN IF EXISTS plan_version,
      DROP COLUMN IF EXISTS plan_published_at, DROP COLUMN IF EXISTS plan_published_by_id`,
    `DROP TABLE IF EXISTS workshop_exceptions`,
    `DROP TABLE IF EXISTS workshop_weekdays`,
  ],
};
