import { Injectable } from '@nestjs/common';
import type { FoundAtDto, KeepWalkDto, WalkDto, WalkKeptDto } from '@yugator/contracts';
import { standingLooks } from '@yugator/core';
import type { CivilDate } from '@yugator/core';
import { UnitOfWork } from '../database/unitOfWork.js';
import { Defects } from '../defect/defects.js';
import type { StoredWalk } from '../job/storedWalk.js';
import { expectedShown } from '../meter/toRoundMeter.js';
import { Meters } from '../meter/meters.js';
import { Person } from '../models/person.model.js';
import { fault, fieldProblem, notFound } from '../problem/problem.js';
import { FleetSchedule } from '../schedule/fleetSchedule.js';
import type { ScheduledMachine } from '../schedule/fleetSchedule.js';
import { answersByPlace } from '../schedule/roundAnswers.js';
import { toDueLines } from '../schedule/toDueLine.js';
import { SiteCalendar } from '../site/siteCalendar.js';
import { fluidsTaken } from './fluidsTaken.js';
import { refuseRetired } from './refuseRetired.js';
import { RoundRecords } from './roundRecords.js';
import { TopUps } from './topUps.js';

/** Walks round the machines: a figure, a look, and everyday work, without a job. */
@Injectable()
export class Walks {
  constructor(
    private readonly work: UnitOfWork,
    private readonly calendar: SiteCalendar,
    private readonly schedule: FleetSchedule,
    private readonly meters: Meters,
    private readonly defects: Defects,
    private readonly records: RoundRecords,
    private readonly topUps: TopUps,
  ) {}

  /** What a walk round a machine looks at today. */
  async read(machineId: string): Promise<WalkDto> {
    const { today } = await this.calendar.read();
    const scheduled = await this.schedule.readOne(machineId);
    if (!scheduled) throw notFound('machine');
    const { machine, schedule } = scheduled;
    const waiting = new Set(answersByPlace(scheduled, today).waiting.map(({ item }) => item.id));
    return {
      machine: { id: machine.id, tag: machine.tag, name: machine.name },
      machineClass: machine.machineClass,
      lastShown: schedule.lastReading?.shown ?? null,
      expectedShown: expectedShown(schedule.meters.engine, today),
      lines: toDueLines(scheduled).filter(({ itemId }) => waiting.has(itemId)),
      fluids: fluidsTaken(scheduled),
    };
  }

  /** Keeps a walk round: its reading, what was done, its record and the defects that it found are written together, or none of them. */
  async keep(
    machineId: string,
    fields: KeepWalkDto,
    caller: Person,
    ago: number | null,
  ): Promise<WalkKeptDto> {
    const { today } = await this.calendar.read(ago ?? 0);
    const photos = await this.defects.cleanPhotos(
      fields.notWell.map(({ jpeg }, at) => ({ jpeg, pointer: `/notWell/${at}/jpeg` })),
    );
    return this.work.run(async () => {
      await this.meters.lock([machineId]);
      const scheduled = await this.schedule.readOne(machineId);
      if (!scheduled) throw notFound('machine');
      refuseRetired(scheduled);
      checkLines(scheduled, fields, today);
      const poured = fields.toppedUp ?? [];
      await this.topUps.check(scheduled, poured, caller, (at) => `/toppedUp/${at}`);
      const { shown, itemIds } = fields;
      const walk = walkOf(scheduled, fields);
      const jobId = await this.records.keep(
        scheduled,
        { doneOn: today, shown, itemIds, poured, walk, ago },
        caller,
      );
      for (const [at, { itemId = null, words, severity }] of fields.notWell.entries()) {
        const where = { machineId, itemId, foundInJobId: jobId, foundOn: today };
        await this.defects.add({ ...where, words, severity }, caller, photos[at]);
      }
      return { jobId, defects: await this.defects.open(machineId) };
    });
  }
}

/** What a walk looked at, by the names of the day. */
function walkOf({ schedule, machine }: ScheduledMachine, fields: KeepWalkDto): StoredWalk {
  const looks = standingLooks(machine.machineClass);
  const { notWell, putRight = [] } = fields;
  const others = new Set([...notWell, ...putRight].flatMap(({ look }) => look ?? []));
  const nameOf = ({ itemId, look }: FoundAtDto) =>
    schedule.answers.find(({ item }) => item.id === itemId)?.item.name ??
    looks.find(({ key }) => key === look)?.words ??
    '';
  return {
    wellLooks: looks.filter(({ key }) => !others.has(key)).map(({ words }) => words),
    putRight: putRight.map((each) => ({ name: nameOf(each), words: each.words })),
  };
}

/** Refuses lines that are no everyday work of the machine, and looks that its class has not. */
function checkLines(
  scheduled: ScheduledMachine,
  { itemIds, notWell, putRight = [] }: KeepWalkDto,
  today: CivilDate,
): void {
  const known = new Set(answersByPlace(scheduled, today).walk.map(({ item }) => item.id));
  const looks = new Set(standingLooks(scheduled.machine.machineClass).map(({ key }) => key));
  const gone = 'This is no everyday work of the machine (any more). Leave it out and keep the walk again.';
  const bad = new Set(notWell.flatMap(({ itemId }) => itemId ?? []));
  const unknown = (each: FoundAtDto, pointer: string) => [
    ...(each.itemId && !known.has(each.itemId) ? [fault(`${pointer}/itemId`, 'unknown', gone)] : []),
    ...(each.look && !looks.has(each.look)
      ? [fault(`${pointer}/look`, 'unknown', 'Machines of this class have nothing like that.')]
      : []),
  ];
  const faults = [
    ...itemIds.flatMap((id, at) => (known.has(id) ? [] : [fault(`/itemIds/${at}`, 'unknown', gone)])),
    ...itemIds.flatMap((id, at) =>
      bad.has(id) ? [fault(`/itemIds/${at}`, 'notWell', 'A line is done, or it is not well: not both.')] : [],
    ),
    ...notWell.flatMap((each, at) => unknown(each, `/notWell/${at}`)),
    ...putRight.flatMap((each, at) => unknown(each, `/putRight/${at}`)),
  ];
  if (faults.length) throw fieldProblem(...faults);
}
