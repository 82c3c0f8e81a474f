import type { Migration } from '../migration.js';

const ASKED_BEFORE = "step_key IN ('battery.rest', 'batteryClean.rest', 'batteryCharge.rest')";
const IS_OPEN = "job_id IN (SELECT id FROM jobs WHERE state = 'open')";
/** The first of them in each open job. */
const FIRST = `SELECT job_id, step_key FROM (
  SELECT job_id, MIN(step_key) AS step_key FROM job_steps WHERE ${ASKED_BEFORE} AND ${IS_OPEN} GROUP BY job_id
) AS firsts`;

/** The rest voltage is one step of an open job, whichever items ask for it; of several ticks the first stays. Records stand as they are. */
export const restVoltage: Migration = {
  name: '0015-rest-voltage',
  up: [
    `DELETE FROM job_steps WHERE ${ASKED_BEFORE} AND ${IS_OPEN} AND (job_id, step_key) NOT IN (${FIRST})`,
    `UPDATE job_steps SET step_key = 'shared.restVoltage' WHERE ${ASKED_BEFORE} AND ${IS_OPEN}`,
  ],
  down: [
    `UPDATE job_steps SET step_key = 'battery.rest' WHERE step_key = 'shared.restVoltage' AND ${IS_OPEN}`,
  ],
};
