import type { Migration } from '../migration.js';

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin';

/** What is kept of every day: looks and small repairs of walk-rounds, top-ups, photos of defects and why one was taken back. */
export const everyDay: Migration = {
  name: '0021-every-day',
  up: [
    `ALTER TABLE jobs ADD COLUMN IF NOT EXISTS walk LONGTEXT NULL CHECK (JSON_VALID(walk)) AFTER note`,
    `ALTER TABLE defects
      ADD COLUMN IF NOT EXISTS voided_by_id ${ID} NULL AFTER voided_at,
      ADD COLUMN IF NOT EXISTS void_reason VARCHAR(300) NULL AFTER voided_by_id,
      ADD CONSTRAINT defects_voided_by FOREIGN KEY IF NOT EXISTS (voided_by_id) REFERENCES people (id)`,
    `CREATE TABLE IF NOT EXISTS defect_photos (
      id ${ID} NOT NULL PRIMARY KEY,
      defect_id ${ID} NOT NULL,
      bytes MEDIUMBLOB NOT NULL,
      taken_at DATETIME(3) NOT NULL,
      taken_by_id ${ID} NOT NULL,
      FOREIGN KEY (defect_id) REFERENCES defects (id),
      FOREIGN KEY (taken_by_id) REFERENCES people (id)
    ) ENGINE = InnoDB`,
    `CREATE TABLE IF NOT EXISTS top_ups (
      job_id ${ID} NOT NULL,
      component VARCHAR(40) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
      machine_id ${ID} NOT NULL,
      litres DECIMAL(9,3) NOT NULL CHECK (litres > 0),
      grade VARCHAR(80) NOT NULL,
      reason VARCHAR(200) NOT NULL,
      article_id ${ID} NULL,
      PRIMARY KEY (job_id, component),
      FOREIGN KEY (job_id) REFERENCES jobs (id),
      FOREIGN KEY (machine_id) REFERENCES machines (id),
      FOREIGN KEY (article_id) REFERENCES articles (id)
    ) ENGINE = InnoDB`,
  ],
  down: [
    `DROP TABLE IF EXISTS top_ups`,
    `DROP TABLE IF EXISTS defect_photos`,
    `ALTER TABLE defects
      DROP FOREIGN KEY IF EXISTS defects_voided_by,
      DROP COLUMN IF EXISTS void_reason,
      DROP COLUMN IF EXISTS voided_by_id`,
    `ALTER TABLE jobs DROP COLUMN IF EXISTS walk`,
  ],
};
