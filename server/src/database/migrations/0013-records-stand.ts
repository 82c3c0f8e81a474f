import { KEEP_NAMES } from '../../models/keepNames.js';
import type { Migration } from '../migration.js';

/** The names that a record was signed with stand in it: renaming a machine, an item, an article or a person renames no history. */
export const recordsStand: Migration = {
  name: '0013-records-stand',
  up: [
    `ALTER TABLE jobs
      ADD COLUMN IF NOT EXISTS machine_tag VARCHAR(12) NULL,
      ADD COLUMN IF NOT EXISTS machine_name VARCHAR(60) NULL,
      ADD COLUMN IF NOT EXISTS done_by_name VARCHAR(60) NULL,
      ADD COLUMN IF NOT EXISTS signed_off_by_name VARCHAR(60) NULL,
      ADD COLUMN IF NOT EXISTS voided_by_name VARCHAR(60) NULL`,
    `ALTER TABLE job_items ADD COLUMN IF NOT EXISTS item_name VARCHAR(80) NULL`,
    `ALTER TABLE movements
      ADD COLUMN IF NOT EXISTS article_name VARCHAR(80) NULL,
      ADD COLUMN IF NOT EXISTS article_unit VARCHAR(10) NULL`,
    ...KEEP_NAMES,
  ],
  down: [
    `ALTER TABLE movements DROP COLUMN IF EXISTS article_unit, DROP COLUMN IF EXISTS article_name`,
    `ALTER TABLE job_items DROP COLUMN IF EXISTS item_name`,
    `ALTER TABLE jobs
      DROP COLUMN IF EXISTS voided_by_name, DROP COLUMN IF EXISTS signed_off_by_name,
      DROP COLUMN IF EXISTS done_by_name, DROP COLUMN IF EXISTS machine_name, DROP COLUMN IF EXISTS machine_tag`,
  ],
};
