import type { Migration } from '../migration.js';

/** The rest voltage is one step of a sheet, whichever items ask for it. Of several ticks in an open job the first stays. */
export const restVoltage: Migration = {
  name: '0015-rest-voltage',
  up: [
    `UPDATE IGNORE job_steps SET step_key = 'shared.restVoltage'
      WHERE step_key IN ('battery.rest', 'batteryClean.rest', 'batteryCharge.rest')`,
    `DELETE FROM job_steps WHERE step_key IN ('battery.rest', 'batteryClean.rest', 'batteryCharge.rest')
      AND job_id IN (SELECT job_id FROM (SELECT job_id FROM job_steps WHERE step_key = 'shared.restVoltage') AS asked)`,
  ],
  down: [`UPDATE job_steps SET step_key = 'battery.rest' WHERE step_key = 'shared.restVoltage'`],
};
