import type { Migration } from '../migration.js';

/** The crew's own figures beside its house rules; none chosen, they are as shipped. And checks after which the next one is left out. */
export const houseFigures: Migration = {
  name: '0016-house-figures',
  up: [
    `ALTER TABLE sites
      ADD COLUMN IF NOT EXISTS house_figures LONGTEXT NULL CHECK (JSON_VALID(house_figures)) AFTER house_rules`,
    `ALTER TABLE job_items ADD COLUMN IF NOT EXISTS leaves_out_next TINYINT(1) NOT NULL DEFAULT 0 AFTER until_on`,
  ],
  down: [
    `ALTER TABLE sites DROP COLUMN IF EXISTS house_figures`,
    // What was left out is due again as the book says.
    `UPDATE job_items SET until_life = NULL, until_meter = NULL, until_on = NULL WHERE leaves_out_next = 1`,
    `ALTER TABLE job_items DROP COLUMN IF EXISTS leaves_out_next`,
  ],
};
