import type { Migration } from '../migration.js';

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin';

/** Suppliers with what they sell, and what was ordered from them. */
export const buying: Migration = {
  name: '0028-buying',
  up: [
    `CREATE TABLE IF NOT EXISTS suppliers (
      id ${ID} NOT NULL PRIMARY KEY,
      name VARCHAR(80) NOT NULL UNIQUE,
      lead_days SMALLINT NOT NULL,
      carriage_minor INT NOT NULL,
      free_from_minor INT NULL,
      note VARCHAR(200) NOT NULL DEFAULT '',
      retired_at DATETIME(3) NULL,
      version INT NOT NULL DEFAULT 1
    ) ENGINE = InnoDB`,
    `CREATE TABLE IF NOT EXISTS offers (
      supplier_id ${ID} NOT NULL,
      article_id ${ID} NOT NULL,
      pack DECIMAL(12, 3) NOT NULL CHECK (pack > 0),
      number VARCHAR(40) NOT NULL DEFAULT '',
      price_minor INT NOT NULL,
      lead_days SMALLINT NULL,
      PRIMARY KEY (supplier_id, article_id, pack),
      FOREIGN KEY (supplier_id) REFERENCES suppliers (id),
      FOREIGN KEY (article_id) REFERENCES articles (id)
    ) ENGINE = InnoDB`,
    `CREATE TABLE IF NOT EXISTS orders (
      id ${ID} NOT NULL PRIMARY KEY,
      supplier_id ${ID} NOT NULL,
      supplier_name VARCHAR(80) NOT NULL,
      ordered_on DATE NOT NULL,
      expected_on DATE NOT NULL,
      ordered_by_id ${ID} NOT NULL,
      carriage_minor INT NOT NULL,
      note VARCHAR(200) NOT NULL DEFAULT '',
      is_open BOOLEAN NOT NULL,
      version INT NOT NULL DEFAULT 1,
      FOREIGN KEY (supplier_id) REFERENCES suppliers (id),
      FOREIGN KEY (ordered_by_id) REFERENCES people (id)
    ) ENGINE = InnoDB`,
    `CREATE TABLE IF NOT EXISTS order_lines (
      order_id ${ID} NOT NULL,
      n SMALLINT NOT NULL,
      article_id ${ID} NOT NULL,
      number VARCHAR(40) NOT NULL DEFAULT '',
      pack DECIMAL(12, 3) NOT NULL CHECK (pack > 0),
      packs INT NOT NULL CHECK (packs > 0),
      price_minor INT NOT NULL,
      arrived INT NOT NULL DEFAULT 0 CHECK (arrived >= 0),
      PRIMARY KEY (order_id, n),
      FOREIGN KEY (order_id) REFERENCES orders (id),
      FOREIGN KEY (article_id) REFERENCES articles (id),
      CONSTRAINT order_lines_no_more_than_ordered CHECK (arrived <= packs)
    ) ENGINE = InnoDB`,
  ],
  down: ['order_lines', 'orders', 'offers', 'suppliers'].map((table) => `DROP TABLE IF EXISTS ${table}`),
};
