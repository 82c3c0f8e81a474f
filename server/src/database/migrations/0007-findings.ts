import type { Migration } from '../migration.js';

const ID = 'CHAR(36) CHARACTER SET ascii';

/** What the crew lead answered to proposals to check more or less often, and photos of jobs. */
export const findings: Migration = {
  name: '0007-findings',
  up: [
    `CREATE TABLE IF NOT EXISTS evidence_answers (
      machine_id ${ID} NOT NULL,
      item_id ${ID} NOT NULL,
      answer VARCHAR(10) NOT NULL,
      answered_on DATE NOT NULL,
      answered_by_id ${ID} NOT NULL,
      PRIMARY KEY (machine_id, item_id),
      FOREIGN KEY (machine_id) REFERENCES machines (id),
      FOREIGN KEY (item_id) REFERENCES items (id),
      FOREIGN KEY (answered_by_id) REFERENCES people (id)
    ) ENGINE = InnoDB`,
    `CREATE TABLE IF NOT EXISTS job_photos (
      id ${ID} NOT NULL PRIMARY KEY,
      job_id ${ID} NOT NULL,
      bytes MEDIUMBLOB NOT NULL,
      caption VARCHAR(200) NOT NULL,
      taken_at DATETIME(3) NOT NULL,
      taken_by_id ${ID} NOT NULL,
      FOREIGN KEY (job_id) REFERENCES jobs (id),
      FOREIGN KEY (taken_by_id) REFERENCES people (id)
    ) ENGINE = InnoDB`,
  ],
  down: [`DROP TABLE IF EXISTS job_photos`, `DROP TABLE IF EXISTS evidence_answers`],
};
