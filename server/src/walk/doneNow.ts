import { Injectable } from '@nestjs/common';
import type { DoneNowDto, RecordKeptDto } from '@yugator/contracts';
import { civilDate, mayBeDoneNow, workPlaceOf } from '@yugator/core';
import { UnitOfWork } from '../database/unitOfWork.js';
import { Meters } from '../meter/meters.js';
import { Person } from '../models/person.model.js';
import { fault, fieldProblem, notFound } from '../problem/problem.js';
import { FleetSchedule } from '../schedule/fleetSchedule.js';
import type { ScheduledMachine } from '../schedule/fleetSchedule.js';
import { refuseRetired } from './refuseRetired.js';
import { RoundRecords } from './roundRecords.js';

/** Refuses a line that the machine has not, that takes a job, or that is not for operators. */
function checkLine({ schedule, info }: ScheduledMachine, itemId: string, caller: Person): void {
  const item = schedule.answers.find((answer) => answer.item.id === itemId)?.item;
  const refuse = (code: string, words: string) => fieldProblem(fault('/itemId', code, words));
  if (!item)
    throw refuse('unknown', 'This machine has no such line (any more). Choose one from its schedule.');
  const { minutes = 0, doneIn = null } = info.get(itemId) ?? {};
  const place = workPlaceOf(item, minutes, doneIn);
  if (!mayBeDoneNow(item.action, minutes, place))
    throw refuse('takesJob', `${item.name} takes more than a moment, or parts. Open a job for it.`);
  if (place === 'visit' && caller.role === 'operator')
    throw refuse(
      'notOperators',
      'Operators do the work of walk-rounds. A mechanic or the crew lead does this.',
    );
}

/** Notes short work as done, without a job. */
@Injectable()
export class DoneNow {
  constructor(
    private readonly work: UnitOfWork,
    private readonly schedule: FleetSchedule,
    private readonly meters: Meters,
    private readonly records: RoundRecords,
  ) {}

  keep(machineId: string, fields: DoneNowDto, caller: Person, ago: number | null): Promise<RecordKeptDto> {
    return this.work.run(async () => {
      await this.meters.lock([machineId]);
      const scheduled = await this.schedule.readOne(machineId);
      if (!scheduled) throw notFound('machine');
      refuseRetired(scheduled);
      checkLine(scheduled, fields.itemId, caller);
      const jobId = await this.records.keep(
        scheduled,
        {
          doneOn: civilDate(fields.doneOn),
          shown: fields.shown ?? null,
          itemIds: [fields.itemId],
          poured: [],
          walk: null,
          ago,
        },
        caller,
      );
      return { jobId };
    });
  }
}
