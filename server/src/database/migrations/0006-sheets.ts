import type { Migration } from '../migration.js';

const ID = 'CHAR(36) CHARACTER SET ascii';

/** Job sheets: steps with what they measured, outcomes of items, defects, house rules and the used-oil book. */
export const sheets: Migration = {
  name: '0006-sheets',
  up: [
    `ALTER TABLE sites
      ADD COLUMN IF NOT EXISTS house_rules LONGTEXT NULL CHECK (JSON_VALID(house_rules)),
      ADD COLUMN IF NOT EXISTS pan_litres DECIMAL(6, 2) NOT NULL DEFAULT 8,
      ADD COLUMN IF NOT EXISTS extractor_litres DECIMAL(6, 2) NOT NULL DEFAULT 6,
      ADD COLUMN IF NOT EXISTS used_oil_litres DECIMAL(8, 2) NOT NULL DEFAULT 60`,
    `ALTER TABLE jobs ADD COLUMN IF NOT EXISTS paused_reason VARCHAR(200) NULL`,
    `ALTER TABLE job_items
      ADD COLUMN IF NOT EXISTS outcome VARCHAR(10) NULL,
      ADD COLUMN IF NOT EXISTS until_life DECIMAL(9, 2) NULL,
      ADD COLUMN IF NOT EXISTS until_on DATE NULL,
      ADD COLUMN IF NOT EXISTS severity VARCHAR(10) NULL,
      ADD COLUMN IF NOT EXISTS note VARCHAR(300) NOT NULL DEFAULT '',
      ADD COLUMN IF NOT EXISTS ticked BOOLEAN NOT NULL DEFAULT FALSE`,
    `UPDATE job_items SET outcome = 'done' WHERE ticked AND outcome IS NULL`,
    `ALTER TABLE job_items DROP COLUMN IF EXISTS ticked`,
    `CREATE TABLE IF NOT EXISTS job_steps (
      job_id ${ID} NOT NULL,
      step_key VARCHAR(100) NOT NULL,
      is_done BOOLEAN NOT NULL,
      is_acknowledged BOOLEAN NOT NULL,
      started_at DATETIME(3) NULL,
      found LONGTEXT NULL CHECK (JSON_VALID(found)),
      changed_at DATETIME(3) NOT NULL,
      changed_by_id ${ID} NOT NULL,
      version INT NOT NULL,
      PRIMARY KEY (job_id, step_key),
      FOREIGN KEY (job_id) REFERENCES jobs (id),
      FOREIGN KEY (changed_by_id) REFERENCES people (id)
    ) ENGINE = InnoDB`,
    `CREATE TABLE IF NOT EXISTS defects (
      id ${ID} NOT NULL PRIMARY KEY,
      machine_id ${ID} NOT NULL,
      item_id ${ID} NULL,
      found_in_job_id ${ID} NULL,
      found_on DATE NOT NULL,
      reported_by_id ${ID} NOT NULL,
      words VARCHAR(300) NOT NULL,
      severity VARCHAR(10) NOT NULL,
      closed_by_job_id ${ID} NULL,
      voided_at DATETIME(3) NULL,
      INDEX (machine_id, closed_by_job_id),
      FOREIGN KEY (machine_id) REFERENCES machines (id),
      FOREIGN KEY (item_id) REFERENCES items (id),
      FOREIGN KEY (found_in_job_id) REFERENCES jobs (id),
      FOREIGN KEY (closed_by_job_id) REFERENCES jobs (id),
      FOREIGN KEY (reported_by_id) REFERENCES people (id)
    ) ENGINE = InnoDB`,
    `CREATE TABLE IF NOT EXISTS used_oil (
      id ${ID} NOT NULL PRIMARY KEY,
      happened_on DATE NOT NULL,
      litres DECIMAL(8, 2) NOT NULL,
      job_id ${ID} NULL,
      note VARCHAR(200) NOT NULL,
      entered_at DATETIME(3) NOT NULL,
      entered_by_id ${ID} NOT NULL,
      voided_at DATETIME(3) NULL,
      FOREIGN KEY (job_id) REFERENCES jobs (id),
      FOREIGN KEY (entered_by_id) REFERENCES people (id)
    ) ENGINE = InnoDB`,
  ],
  down: [
    `DROP TABLE IF EXISTS used_oil`,
    `DROP TABLE IF EXISTS defects`,
    `DROP TABLE IF EXISTS job_steps`,
    // Only what was done is known to the older tick list.
    `ALTER TABLE job_items ADD COLUMN IF NOT EXISTS ticked BOOLEAN NOT NULL DEFAULT FALSE`,
    `UPDATE job_items SET ticked = COALESCE(outcome = 'done', FALSE)`,
    `ALTER TABLE job_items
      MODIFY ticked BOOLEAN NOT NULL,
      DROP COLUMN IF EXISTS outcome, DROP COLUMN IF EXISTS until_life, DROP COLUMN IF EXISTS until_on,
      DROP COLUMN IF EXISTS severity, DROP COLUMN IF EXISTS note`,
    `ALTER TABLE jobs DROP COLUMN IF EXISTS paused_reason`,
    `ALTER TABLE sites
      DROP COLUMN IF EXISTS house_rules, DROP COLUMN IF EXISTS pan_litres,
      DROP COLUMN IF EXISTS extractor_litres, DROP COLUMN IF EXISTS used_oil_litres`,
  ],
};
