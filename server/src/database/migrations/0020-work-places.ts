import type { Migration } from '../migration.js';

/** A line may say whether it is done on the walk-round or in a visit; none says it until the crew lead does. */
export const workPlaces: Migration = {
  name: '0020-work-places',
  up: [
    `ALTER TABLE items ADD COLUMN IF NOT EXISTS done_in VARCHAR(10) CHARACTER SET ascii NULL AFTER consequence`,
  ],
  down: [`ALTER TABLE items DROP COLUMN IF EXISTS done_in`],
};
