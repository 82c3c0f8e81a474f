import type { Migration } from '../migration.js';

/** What was found while it was searched why a machine does not start stands with its defect. */
export const defectSearches: Migration = {
  name: '0017-defect-searches',
  up: [
    `ALTER TABLE defects ADD COLUMN IF NOT EXISTS searches LONGTEXT NULL CHECK (JSON_VALID(searches)) AFTER severity`,
  ],
  down: [`ALTER TABLE defects DROP COLUMN IF EXISTS searches`],
};
