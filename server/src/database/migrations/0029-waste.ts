import type { Migration } from '../migration.js';

/** The used-oil book by container, with the collector's receipts. Going back, what is no oil is left out of the book of oil. */
export const waste: Migration = {
  name: '0029-waste',
  up: [
    `ALTER TABLE used_oil
      ADD COLUMN IF NOT EXISTS waste VARCHAR(16) NOT NULL DEFAULT 'oil',
      ADD COLUMN IF NOT EXISTS receipt VARCHAR(60) NOT NULL DEFAULT '',
      ADD COLUMN IF NOT EXISTS is_level BOOLEAN NOT NULL DEFAULT FALSE`,
    `ALTER TABLE sites ADD COLUMN IF NOT EXISTS waste_litres JSON NULL`,
  ],
  down: [
    `DELETE FROM used_oil WHERE waste <> 'oil'`,
    `ALTER TABLE used_oil DROP COLUMN IF EXISTS is_level, DROP COLUMN IF EXISTS receipt, DROP COLUMN IF EXISTS waste`,
    `ALTER TABLE sites DROP COLUMN IF EXISTS waste_litres`,
  ],
};
