import type { Migration } from '../migration.js';

const ID = 'CHAR(36) CHARACTER SET ascii';

/** What the crew lead answered to proposals to check more or less often. */
export const evidence: Migration = {
  name: '0007-evidence',
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
  ],
  down: [`DROP TABLE IF EXISTS evidence_answers`],
};
