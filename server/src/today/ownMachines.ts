import { addDays } from '@yugator/core';
import type { CivilDate } from '@yugator/core';
import { col, fn, Op } from 'sequelize';
import type { FindAttributeOptions } from 'sequelize';
import { Job } from '../models/job.model.js';
import { ReadingRow } from '../models/meter.model.js';
import type { Person } from '../models/person.model.js';

/** Days of which it is told whose machine it is. */
const DAYS = 30;
/** Nobody is at home on more machines than these. */
const MOST = 6;

/** The machines that a person read and worked on of late, most often first; at most six. */
export async function ownMachines(person: Person, today: CivilDate): Promise<string[]> {
  const since = addDays(today, -DAYS);
  const attributes: FindAttributeOptions = ['machineId', [fn('COUNT', col('machine_id')), 'times']];
  const byMachine = { attributes, group: ['machineId'], raw: true };
  const [readings, records] = await Promise.all([
    ReadingRow.findAll({
      ...byMachine,
      where: { enteredById: person.id, voidedAt: null, readAt: { [Op.gte]: new Date(since) } },
    }),
    Job.findAll({
      ...byMachine,
      where: { doneById: person.id, state: 'signedOff', doneOn: { [Op.gte]: since } },
    }),
  ]);
  const times = new Map<string, number>();
  for (const row of [...readings, ...records]) {
    const own = Number(Reflect.get(row, 'times'));
    times.set(row.machineId, (times.get(row.machineId) ?? 0) + own);
  }
  return [...times]
    .sort(([a, timesOfA], [b, timesOfB]) => timesOfB - timesOfA || (a < b ? -1 : 1))
    .slice(0, MOST)
    .map(([id]) => id);
}
