import type { Migration } from '../migration.js';

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin';

/** Defects as work of visits: how long mending takes, on which card it is, and what a record says was mended. */
export const defectsInPlan: Migration = {
  name: '0036-defects-in-plan',
  up: [
    `ALTER TABLE defects ADD COLUMN IF NOT EXISTS minutes SMALLINT NULL`,
    `CREATE TABLE IF NOT EXISTS visit_card_defects (
      card_id ${ID} NOT NULL,
      defect_id ${ID} NOT NULL,
      PRIMARY KEY (card_id, defect_id),
      FOREIGN KEY (card_id) REFERENCES visit_cards (id) ON DELETE CASCADE,
      FOREIGN KEY (defect_id) REFERENCES defects (id)
    ) ENGINE = InnoDB`,
    `CREATE TABLE IF NOT EXISTS job_defects (
      job_id ${ID} NOT NULL,
      defect_id ${ID} NOT NULL,
      words VARCHAR(300) NOT NULL,
      PRIMARY KEY (job_id, defect_id),
      FOREIGN KEY (job_id) REFERENCES jobs (id),
      FOREIGN KEY (defect_id) REFERENCES defects (id)
    ) ENGINE = InnoDB`,
    `INSERT IGNORE INTO job_defects (job_id, defect_id, words)
      SELECT closed_by_job_id, id, words FROM defects WHERE closed_by_job_id IS NOT NULL`,
  ],
  down: [
    `DROP TABLE IF EXISTS job_defects`,
    `DROP TABLE IF EXISTS visit_card_defects`,
    // A card for defects alone would be a card for nothing.
    `DELETE FROM visit_cards WHERE id NOT IN (SELECT card_id FROM visit_card_items)`,
    `ALTER TABLE defects DROP COLUMN IF EXISTS minutes`,
  ],
};
