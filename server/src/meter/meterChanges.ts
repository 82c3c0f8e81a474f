import { Injectable } from '@nestjs/common';
import type { ChangeMeterDto } from '@yugator/contracts';
import {
  civilDate,
  instantOnDay,
  lifeOf,
  segmentAfterReplacement,
  segmentAfterRollOver,
  segmentAt,
  instantOf,
} from '@yugator/core';
import { v7 as uuid } from 'uuid';
import { UnitOfWork } from '../database/unitOfWork.js';
import { Person } from '../models/person.model.js';
import { fault, fieldProblem, notFound } from '../problem/problem.js';
import { FleetSchedule } from '../schedule/fleetSchedule.js';
import { SiteCalendar } from '../site/siteCalendar.js';
import { MeterSegmentRow, ReadingRow } from '../models/meter.model.js';
import { meterOf } from './readMeters.js';
import { Meters } from './meters.js';

/** A meter that rolled over shows its largest figure and a tenth more as nought. */
const ONE_STEP = 0.1;

/** Says that a meter was replaced, or began again from nought. */
@Injectable()
export class MeterChanges {
  constructor(
    private readonly work: UnitOfWork,
    private readonly calendar: SiteCalendar,
    private readonly schedule: FleetSchedule,
    private readonly meters: Meters,
  ) {}

  /** Begins a new segment of the meter; the last figure of the old and the first of the new become readings. */
  async change(machineId: string, fields: ChangeMeterDto, caller: Person): Promise<void> {
    const { site, today, now } = await this.calendar.read();
    const on = civilDate(fields.on);
    if (on > today)
      throw fieldProblem(fault('/on', 'future', 'That day is still to come. Give the day it happened.'));
    const at = on === today ? now : instantOnDay(on, 12, site.timeZone);
    await this.work.run(async () => {
      await this.meters.lock([machineId]);
      const scheduled = await this.schedule.readOne(machineId);
      if (!scheduled) throw notFound('machine');
      const meter = fields.meter ?? 'engine';
      const standing = meterOf(scheduled, meter);
      if (!standing) {
        const none = `${scheduled.machine.tag} has no ${meter} with a meter of its own. Choose another.`;
        throw fieldProblem(fault('/meter', 'unknown', none));
      }
      const { readings, segments } = standing;
      const last = readings.at(-1);
      if (last && last.at >= at) {
        throw fieldProblem(
          fault(
            '/on',
            'beforeReading',
            'The meter was read after that day. Give a later day, or void those readings.',
          ),
        );
      }
      const before = segmentAt(segments, at);
      if (last && lifeOf({ at, shown: fields.oldShown }, segments) < last.life) {
        throw fieldProblem(
          fault(
            '/oldShown',
            'backwards',
            `The old meter showed ${last.shown} h before. Give what it showed at the end.`,
          ),
        );
      }
      const segment =
        fields.kind === 'replaced'
          ? segmentAfterReplacement(before, at, fields.oldShown, fields.newShown)
          : segmentAfterRollOver(before, at, Math.round((fields.oldShown + ONE_STEP) * 10) / 10);
      await MeterSegmentRow.create({
        id: uuid(),
        machineId,
        meter,
        startsAt: new Date(segment.startsAt),
        hoursOffset: segment.offset,
        kind: fields.kind,
        reason: fields.reason,
      });
      const reading = { machineId, meter, source: 'entry' as const, enteredById: caller.id };
      const endOfOld = instantOf(at - 1);
      await ReadingRow.bulkCreate([
        ...(fields.kind === 'replaced'
          ? [{ ...reading, id: uuid(), readAt: new Date(endOfOld), shown: fields.oldShown }]
          : []),
        { ...reading, id: uuid(), readAt: new Date(at), shown: fields.newShown },
      ]);
      await this.schedule.touched([machineId]);
      this.work.changed('readings');
    });
  }
}
