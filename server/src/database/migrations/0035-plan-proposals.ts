import type { Migration } from '../migration.js';

/** What the server proposed for a week, by itself. */
export const planProposals: Migration = {
  name: '0035-plan-proposals',
  up: [
    `CREATE TABLE IF NOT EXISTS plan_proposals (
      week DATE NOT NULL PRIMARY KEY,
      made_at DATETIME(3) NOT NULL,
      plan_version INT NOT NULL,
      cost DOUBLE NOT NULL,
      bound DOUBLE NOT NULL,
      cards JSON NOT NULL
    ) ENGINE = InnoDB`,
  ],
  down: [`DROP TABLE IF EXISTS plan_proposals`],
};
