import type { Migration } from '../migration.js';

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin';

/** What kits hold, and articles that are changed by several people. */
export const kits: Migration = {
  name: '0025-kits',
  up: [
    `ALTER TABLE articles ADD COLUMN IF NOT EXISTS version INT NOT NULL DEFAULT 1`,
    `CREATE TABLE IF NOT EXISTS kit_parts (
      kit_id ${ID} NOT NULL,
      article_id ${ID} NOT NULL,
      quantity DECIMAL(12, 3) NOT NULL CHECK (quantity > 0),
      PRIMARY KEY (kit_id, article_id),
      FOREIGN KEY (kit_id) REFERENCES articles (id),
      FOREIGN KEY (article_id) REFERENCES articles (id),
      CONSTRAINT kit_parts_not_itself CHECK (kit_id <> article_id)
    ) ENGINE = InnoDB`,
  ],
  down: [
    `DROP TABLE IF EXISTS kit_parts`,
    // What was left of a kit is a count for whoever knows no kits.
    `UPDATE movements SET kind = 'counted' WHERE kind = 'left'`,
    `ALTER TABLE articles DROP COLUMN IF EXISTS version`,
  ],
};
