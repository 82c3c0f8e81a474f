import { usualDateOrder } from '@yugator/core';
import { QueryTypes } from 'sequelize';
import type { Migration } from '../migration.js';

/** How days are typed at the site, until the crew lead says otherwise as usual where it lies. */
export const dateOrder: Migration = {
  name: '0014-date-order',
  up: [
    `ALTER TABLE sites
      ADD COLUMN IF NOT EXISTS date_order VARCHAR(10) CHARACTER SET ascii NOT NULL DEFAULT 'dayFirst' AFTER unit_system`,
    async (sequelize) => {
      const sites = await sequelize.query<{ zone: string }>('SELECT DISTINCT time_zone AS zone FROM sites', {
        type: QueryTypes.SELECT,
      });
      return sites.map(
        ({ zone }) =>
          `UPDATE sites SET date_order = '${usualDateOrder(zone)}' WHERE time_zone = ${sequelize.escape(zone)}`,
      );
    },
  ],
  down: [`ALTER TABLE sites DROP COLUMN IF EXISTS date_order`],
};
