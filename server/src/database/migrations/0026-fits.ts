import type { Migration } from '../migration.js';

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin';

/** What an article is, and which of them fit a machine. */
export const fits: Migration = {
  name: '0026-fits',
  up: [
    `ALTER TABLE articles
      ADD COLUMN IF NOT EXISTS number VARCHAR(40) NULL,
      ADD COLUMN IF NOT EXISTS barcode VARCHAR(60) NULL,
      ADD COLUMN IF NOT EXISTS place VARCHAR(60) NOT NULL DEFAULT '',
      ADD COLUMN IF NOT EXISTS component VARCHAR(40) NULL,
      ADD COLUMN IF NOT EXISTS traits JSON NULL,
      ADD COLUMN IF NOT EXISTS retired_at DATETIME(3) NULL`,
    `CREATE UNIQUE INDEX IF NOT EXISTS articles_number ON articles (number)`,
    `CREATE UNIQUE INDEX IF NOT EXISTS articles_barcode ON articles (barcode)`,
    `CREATE TABLE IF NOT EXISTS fits (
      machine_id ${ID} NOT NULL,
      component VARCHAR(40) NOT NULL,
      article_id ${ID} NOT NULL,
      quantity DECIMAL(12, 3) NULL CHECK (quantity > 0),
      standing VARCHAR(12) NOT NULL,
      reason VARCHAR(200) NOT NULL DEFAULT '',
      PRIMARY KEY (machine_id, component, article_id),
      FOREIGN KEY (machine_id) REFERENCES machines (id),
      FOREIGN KEY (article_id) REFERENCES articles (id)
    ) ENGINE = InnoDB`,
    `ALTER TABLE sites ADD COLUMN IF NOT EXISTS climate JSON NULL`,
    `ALTER TABLE jobs ADD COLUMN IF NOT EXISTS fluid_reason VARCHAR(200) NOT NULL DEFAULT ''`,
  ],
  down: [
    `ALTER TABLE jobs DROP COLUMN IF EXISTS fluid_reason`,
    `ALTER TABLE sites DROP COLUMN IF EXISTS climate`,
    `DROP TABLE IF EXISTS fits`,
    `DROP INDEX IF EXISTS articles_barcode ON articles`,
    `DROP INDEX IF EXISTS articles_number ON articles`,
    `ALTER TABLE articles
      DROP COLUMN IF EXISTS retired_at,
      DROP COLUMN IF EXISTS traits,
      DROP COLUMN IF EXISTS component,
      DROP COLUMN IF EXISTS place,
      DROP COLUMN IF EXISTS barcode,
      DROP COLUMN IF EXISTS number`,
  ],
};
