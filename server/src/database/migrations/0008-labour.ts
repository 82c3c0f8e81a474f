import type { Migration } from '../migration.js';

/** The crew's rate for an hour of work, and the rate at which a job was signed off: later rates leave its record as it was. */
export const labour: Migration = {
  name: '0008-labour',
  up: [
    `ALTER TABLE sites ADD COLUMN IF NOT EXISTS labour_rate_minor INT NULL`,
    `ALTER TABLE jobs ADD COLUMN IF NOT EXISTS labour_rate_minor INT NULL`,
  ],
  down: [
    `ALTER TABLE jobs DROP COLUMN IF EXISTS labour_rate_minor`,
    `ALTER TABLE sites DROP COLUMN IF EXISTS labour_rate_minor`,
  ],
};
