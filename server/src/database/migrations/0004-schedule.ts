import type { Migration } from '../migration.js';

const ID = 'CHAR(36) CHARACTER SET ascii';
const ITEM_TRIGGERS = `CREATE TABLE IF NOT EXISTS item_triggers (
  id ${ID} NOT NULL PRIMARY KEY,
  item_id ${ID} NOT NULL,
  kind VARCHAR(20) NOT NULL,
  every_hours DECIMAL(9, 2) NULL,
  every_count INT NULL,
  every_unit VARCHAR(10) NULL,
  FOREIGN KEY (item_id) REFERENCES items (id),
  CHECK ((kind = 'everyHours' AND every_hours > 0) OR (kind = 'everyCalendar' AND every_count > 0 AND every_unit IN ('day', 'month')))
) ENGINE = InnoDB`;

export const schedule: Migration = {
  name: '0004-schedule',
  up: [
    `ALTER TABLE sites
      ADD COLUMN IF NOT EXISTS hours_grid VARCHAR(10) NOT NULL DEFAULT 'sinceDone',
      ADD COLUMN IF NOT EXISTS unit_system VARCHAR(10) NOT NULL DEFAULT 'metric',
      ADD COLUMN IF NOT EXISTS stale_after_days INT NOT NULL DEFAULT 8,
      ADD COLUMN IF NOT EXISTS version INT NOT NULL DEFAULT 1,
      ADD COLUMN IF NOT EXISTS seasons_version INT NOT NULL DEFAULT 1`,
    `ALTER TABLE people ADD COLUMN IF NOT EXISTS unit_system VARCHAR(10) NULL`,
    `CREATE TABLE IF NOT EXISTS seasons (
      id ${ID} NOT NULL PRIMARY KEY,
      name VARCHAR(30) NOT NULL UNIQUE,
      place INT NOT NULL
    ) ENGINE = InnoDB`,
    `CREATE TABLE IF NOT EXISTS season_years (
      season_id ${ID} NOT NULL,
      year INT NOT NULL,
      first_day DATE NOT NULL,
      last_day DATE NOT NULL,
      PRIMARY KEY (season_id, year),
      FOREIGN KEY (season_id) REFERENCES seasons (id),
      CHECK (first_day <= last_day)
    ) ENGINE = InnoDB`,
    `CREATE TABLE IF NOT EXISTS machine_seasons (
      machine_id ${ID} NOT NULL,
      season_id ${ID} NOT NULL,
      hours_per_week DECIMAL(6, 2) NOT NULL,
      PRIMARY KEY (machine_id, season_id),
      FOREIGN KEY (machine_id) REFERENCES machines (id),
      FOREIGN KEY (season_id) REFERENCES seasons (id)
    ) ENGINE = InnoDB`,
    `ALTER TABLE machines
      ADD COLUMN IF NOT EXISTS serial VARCHAR(60) NOT NULL DEFAULT '',
      ADD COLUMN IF NOT EXISTS model_year INT NULL,
      ADD COLUMN IF NOT EXISTS cooling VARCHAR(10) NULL,
      ADD COLUMN IF NOT EXISTS cylinders INT NULL,
      ADD COLUMN IF NOT EXISTS engine_power DECIMAL(12, 6) NULL,
      ADD COLUMN IF NOT EXISTS warranty_until DATE NULL,
      ADD COLUMN IF NOT EXISTS warranty_hours DECIMAL(9, 2) NULL,
      ADD COLUMN IF NOT EXISTS status VARCHAR(15) NOT NULL DEFAULT 'inService',
      ADD COLUMN IF NOT EXISTS status_since DATE NULL,
      ADD COLUMN IF NOT EXISTS spec LONGTEXT NULL CHECK (JSON_VALID(spec)),
      ADD COLUMN IF NOT EXISTS facts_revision INT NOT NULL DEFAULT 1`,
    `CREATE TABLE IF NOT EXISTS status_changes (
      id ${ID} NOT NULL PRIMARY KEY,
      machine_id ${ID} NOT NULL,
      status VARCHAR(15) NOT NULL,
      since DATE NOT NULL,
      reason VARCHAR(200) NOT NULL,
      changed_at DATETIME(3) NOT NULL,
      changed_by_id ${ID} NOT NULL,
      INDEX (machine_id, changed_at),
      FOREIGN KEY (machine_id) REFERENCES machines (id),
      FOREIGN KEY (changed_by_id) REFERENCES people (id)
    ) ENGINE = InnoDB`,
    `CREATE TABLE IF NOT EXISTS machine_photos (
      machine_id ${ID} NOT NULL PRIMARY KEY,
      bytes MEDIUMBLOB NOT NULL,
      revision ${ID} NOT NULL,
      FOREIGN KEY (machine_id) REFERENCES machines (id)
    ) ENGINE = InnoDB`,
    `CREATE TABLE IF NOT EXISTS attachments (
      machine_id ${ID} NOT NULL,
      kind VARCHAR(10) NOT NULL,
      name VARCHAR(60) NOT NULL,
      share DECIMAL(5, 3) NOT NULL,
      hours_at_start DECIMAL(9, 2) NOT NULL,
      engine_at_start DECIMAL(9, 2) NOT NULL,
      PRIMARY KEY (machine_id, kind),
      FOREIGN KEY (machine_id) REFERENCES machines (id)
    ) ENGINE = InnoDB`,
    `ALTER TABLE books
      ADD COLUMN IF NOT EXISTS meter VARCHAR(10) NOT NULL DEFAULT 'engine',
      ADD COLUMN IF NOT EXISTS version INT NOT NULL DEFAULT 1`,
    `ALTER TABLE items
      ADD COLUMN IF NOT EXISTS action VARCHAR(10) NOT NULL DEFAULT 'replace',
      ADD COLUMN IF NOT EXISTS component VARCHAR(60) NOT NULL DEFAULT '',
      ADD COLUMN IF NOT EXISTS triggers LONGTEXT NOT NULL DEFAULT '[]' CHECK (JSON_VALID(triggers)),
      ADD COLUMN IF NOT EXISTS renews LONGTEXT NOT NULL DEFAULT '[]' CHECK (JSON_VALID(renews)),
      ADD COLUMN IF NOT EXISTS reference VARCHAR(80) NOT NULL DEFAULT '',
      ADD COLUMN IF NOT EXISTS note VARCHAR(300) NOT NULL DEFAULT '',
      ADD COLUMN IF NOT EXISTS window_hours DECIMAL(9, 2) NULL,
      ADD COLUMN IF NOT EXISTS window_days INT NULL,
      ADD COLUMN IF NOT EXISTS machine_id ${ID} NULL,
      ADD COLUMN IF NOT EXISTS dropped BOOLEAN NOT NULL DEFAULT FALSE,
      MODIFY book_id ${ID} NULL`,
    `ALTER TABLE items ADD CONSTRAINT items_of_machine FOREIGN KEY IF NOT EXISTS (machine_id) REFERENCES machines (id)`,
    // A book once said in its items' names what is done to what; the names stay, and the component is the item itself.
    `UPDATE items SET component = LEFT(LOWER(name), 60) WHERE component = ''`,
    // Run again after an interruption, the table may be gone and its rows taken over already.
    ITEM_TRIGGERS,
    `UPDATE items SET triggers = COALESCE((
      SELECT JSON_ARRAYAGG(JSON_COMPACT(
        IF(kind = 'everyHours',
          JSON_OBJECT('kind', kind, 'hours', every_hours, 'meter', 'engine', 'grid', NULL),
          JSON_OBJECT('kind', kind, 'count', every_count, 'unit', every_unit))))
      FROM item_triggers WHERE item_triggers.item_id = items.id), '[]') WHERE triggers = '[]'`,
    `DROP TABLE IF EXISTS item_triggers`,
    `CREATE TABLE IF NOT EXISTS item_overrides (
      machine_id ${ID} NOT NULL,
      item_id ${ID} NOT NULL,
      is_omitted BOOLEAN NOT NULL,
      triggers LONGTEXT NULL CHECK (JSON_VALID(triggers)),
      duty_factor DECIMAL(4, 2) NULL,
      window_hours DECIMAL(9, 2) NULL,
      window_days INT NULL,
      reason VARCHAR(200) NOT NULL,
      PRIMARY KEY (machine_id, item_id),
      FOREIGN KEY (machine_id) REFERENCES machines (id),
      FOREIGN KEY (item_id) REFERENCES items (id)
    ) ENGINE = InnoDB`,
    `ALTER TABLE meter_segments
      ADD COLUMN IF NOT EXISTS kind VARCHAR(10) NOT NULL DEFAULT 'first',
      ADD COLUMN IF NOT EXISTS reason VARCHAR(200) NOT NULL DEFAULT ''`,
  ],
  down: [
    `ALTER TABLE meter_segments DROP COLUMN IF EXISTS kind, DROP COLUMN IF EXISTS reason`,
    `DROP TABLE IF EXISTS item_overrides`,
    ITEM_TRIGGERS,
    `ALTER TABLE items ADD COLUMN IF NOT EXISTS triggers LONGTEXT NOT NULL DEFAULT '[]'`,
    // Items that only a machine of its own has, and kinds of trigger that were not known before, cannot be kept.
    `DELETE job_items FROM job_items JOIN items ON items.id = job_items.item_id WHERE items.book_id IS NULL`,
    `DELETE declarations FROM declarations JOIN items ON items.id = declarations.item_id WHERE items.book_id IS NULL`,
    `DELETE item_articles FROM item_articles JOIN items ON items.id = item_articles.item_id WHERE items.book_id IS NULL`,
    `DELETE FROM items WHERE book_id IS NULL`,
    `INSERT INTO item_triggers (id, item_id, kind, every_hours, every_count, every_unit)
      SELECT UUID(), items.id, rule.kind, rule.hours, rule.count_, rule.unit FROM items,
        JSON_TABLE(items.triggers, '$[*]' COLUMNS (
          kind VARCHAR(20) PATH '$.kind', hours DECIMAL(9, 2) PATH '$.hours',
          count_ INT PATH '$.count', unit VARCHAR(10) PATH '$.unit')) AS rule
      WHERE rule.kind IN ('everyHours', 'everyCalendar')`,
    `ALTER TABLE items DROP FOREIGN KEY IF EXISTS items_of_machine`,
    `ALTER TABLE items
      DROP COLUMN IF EXISTS action, DROP COLUMN IF EXISTS component, DROP COLUMN IF EXISTS triggers,
      DROP COLUMN IF EXISTS renews, DROP COLUMN IF EXISTS reference, DROP COLUMN IF EXISTS note,
      DROP COLUMN IF EXISTS window_hours, DROP COLUMN IF EXISTS window_days,
      DROP COLUMN IF EXISTS machine_id, DROP COLUMN IF EXISTS dropped,
      MODIFY book_id ${ID} NOT NULL`,
    `ALTER TABLE books DROP COLUMN IF EXISTS meter, DROP COLUMN IF EXISTS version`,
    `DROP TABLE IF EXISTS attachments`,
    `DROP TABLE IF EXISTS machine_photos`,
    `ALTER TABLE people DROP COLUMN IF EXISTS unit_system`,
    `DROP TABLE IF EXISTS status_changes`,
    `ALTER TABLE machines
      DROP COLUMN IF EXISTS serial, DROP COLUMN IF EXISTS model_year, DROP COLUMN IF EXISTS cooling,
      DROP COLUMN IF EXISTS cylinders, DROP COLUMN IF EXISTS engine_power, DROP COLUMN IF EXISTS warranty_until,
      DROP COLUMN IF EXISTS warranty_hours, DROP COLUMN IF EXISTS status, DROP COLUMN IF EXISTS status_since,
      DROP COLUMN IF EXISTS spec, DROP COLUMN IF EXISTS facts_revision`,
    `DROP TABLE IF EXISTS machine_seasons`,
    `DROP TABLE IF EXISTS season_years`,
    `DROP TABLE IF EXISTS seasons`,
    `ALTER TABLE sites
      DROP COLUMN IF EXISTS hours_grid, DROP COLUMN IF EXISTS unit_system, DROP COLUMN IF EXISTS stale_after_days,
      DROP COLUMN IF EXISTS version, DROP COLUMN IF EXISTS seasons_version`,
  ],
};
