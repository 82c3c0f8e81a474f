import type { Migration } from '../migration.js';

/**
 * What a job cost and found, as it was on that day: the crew's rate for an hour, and what was measured and seen of each item.
 * Later rates, cards and house rules leave the record as it was.
 */
export const costAndFindings: Migration = {
  name: '0008-cost-and-findings',
  up: [
    `ALTER TABLE sites ADD COLUMN IF NOT EXISTS labour_rate_minor INT NULL`,
    `ALTER TABLE jobs ADD COLUMN IF NOT EXISTS labour_rate_minor INT NULL`,
    `ALTER TABLE job_items ADD COLUMN IF NOT EXISTS findings LONGTEXT NULL CHECK (JSON_VALID(findings))`,
  ],
  down: [
    `ALTER TABLE job_items DROP COLUMN IF EXISTS findings`,
    `ALTER TABLE jobs DROP COLUMN IF EXISTS labour_rate_minor`,
    `ALTER TABLE sites DROP COLUMN IF EXISTS labour_rate_minor`,
  ],
};
