import { civilDateAt, lifeOf } from '@yugator/core';
import { v7 as uuid } from 'uuid';
import { Job, TopUpRow } from '../models/job.model.js';
import { keepNamesOf } from '../models/keepNames.js';
import { TIME_ZONE } from './larkmere.js';
import type { DemoHistory } from './machineHistory.js';

/** The machine that begins to drink: its rings are worn. */
export const THIRSTY_TAG = 'T-05';

/** Litres of engine oil at each of the latest readings, the latest last. */
const LITRES = [0.1, 0.1, 0.1, 0.15, 0.1, 0.1, 0.1, 0.1, 0.6, 0.7];

/** What was topped up on a machine when its meter was read, by an operator. */
export async function loadTopUps(machineId: string, history: DemoHistory, operatorId: string): Promise<void> {
  const segments = history.segments.toSorted((a, b) => a.startsAt - b.startsAt);
  const read = history.readings
    .filter(({ voided }) => !voided)
    .toSorted((a, b) => a.at - b.at)
    .slice(-LITRES.length);
  const jobs = read.map(({ at, shown }) => ({
    id: uuid(),
    machineId,
    kind: 'round' as const,
    state: 'signedOff' as const,
    openedAt: new Date(at),
    signedOffAt: new Date(at),
    openedById: operatorId,
    signedOffById: operatorId,
    doneById: operatorId,
    doneOn: civilDateAt(at, TIME_ZONE),
    life: lifeOf({ at, shown }, segments),
    shown,
    minutes: 0,
    note: '',
    version: 1,
  }));
  await Job.bulkCreate(jobs);
  await TopUpRow.bulkCreate(
    jobs.map(({ id }, at) => ({
      jobId: id,
      machineId,
      component: 'engineOil' as const,
      litres: LITRES[LITRES.length - jobs.length + at] ?? 0,
      grade: '15W-40',
      reason: '',
      articleId: null,
    })),
  );
  await keepNamesOf([machineId]);
}
