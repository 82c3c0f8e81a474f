import { Injectable } from '@nestjs/common';
import type {
  CreateMachineDto,
  DeclareDto,
  MachineDetailDto,
  MachineDto,
  MachineFieldsDto,
  ReadingDto,
  UpdateMachineDto,
} from '@yugator/contracts';
import { civilDate, instantOnDay } from '@yugator/core';
import type { CivilDate } from '@yugator/core';
import { Op } from 'sequelize';
import { v7 as uuid } from 'uuid';
import { Book, Item } from '../models/book.model.js';
import { toItemDtos } from '../books/toBookDto.js';
import { UnitOfWork } from '../database/unitOfWork.js';
import { MeterSegmentRow, ReadingRow } from '../models/meter.model.js';
import { Meters } from '../meter/meters.js';
import { Job } from '../models/job.model.js';
import { namesById } from '../people/namesById.js';
import { Person } from '../models/person.model.js';
import { fault, fieldProblem, notFound, stale } from '../problem/problem.js';
import { Declaration } from '../models/declaration.model.js';
import { mapGently } from '../queue/breather.js';
import { FleetSchedule } from '../schedule/fleetSchedule.js';
import type { ScheduledMachine } from '../schedule/fleetSchedule.js';
import { SiteCalendar } from '../site/siteCalendar.js';
import { accessPhotosOf } from './accessPhotos.js';
import { Machine, MachineBook, MachinePhoto, StatusChange } from '../models/machine.model.js';
import { FitRow } from '../models/shelf.model.js';
import { MachineParts } from './machineParts.js';
import { toMachineDetail, toMachineDto } from './toMachineDto.js';

/** What a machine starts with besides what it is registered with. */
const NEW_MACHINE = { status: 'inService', factsRevision: 1, version: 1 } as const;

/** The machines that the crew keeps. */
@Injectable()
export class Fleet {
  constructor(
    private readonly work: UnitOfWork,
    private readonly calendar: SiteCalendar,
    private readonly schedule: FleetSchedule,
    private readonly meters: Meters,
    private readonly parts: MachineParts,
  ) {}

  /** All machines, retired ones too. */
  async list(): Promise<MachineDto[]> {
    return mapGently(await this.schedule.readAll(), toMachineDto);
  }

  async get(id: string): Promise<MachineDetailDto> {
    const { today } = await this.calendar.read();
    const scheduled = await this.require(id);
    const itemIds = scheduled.overrides.map(({ itemId }) => itemId);
    const [items, own, changes, people, photo, accessPhotos, job] = await Promise.all([
      Item.findAll({ where: { id: itemIds }, attributes: ['id', 'name'] }),
      Item.findAll({ where: { machineId: id, dropped: false }, order: ['place'] }),
      StatusChange.findAll({
        where: { machineId: id },
        order: [
          ['changedAt', 'DESC'],
          ['id', 'DESC'],
        ],
      }),
      namesById(),
      MachinePhoto.findByPk(id, { attributes: ['revision'] }),
      accessPhotosOf(id),
      Job.findOne({ where: { machineId: id, state: 'open' }, attributes: ['id'] }),
    ]);
    return toMachineDetail(
      scheduled,
      today,
      { photo: photo && `/api/machines/${id}/photo/${photo.revision}`, accessPhotos },
      new Map(items.map((item) => [item.id, item.name])),
      toItemDtos(own),
      changes.map(({ status, since, reason, changedById }) => ({
        status,
        since,
        reason,
        by: people.get(changedById) ?? '',
      })),
      job?.id ?? null,
    );
  }

  async readings(id: string): Promise<ReadingDto[]> {
    return this.meters.list(await this.require(id));
  }

  /** Registers a machine; its meter starts at the hours it came with. */
  async create({ copyOfId, ...fields }: CreateMachineDto, caller: Person): Promise<MachineDetailDto> {
    const { today, site } = await this.calendar.read();
    return this.work.run(async () => {
      await this.check(fields, today, null);
      const id = uuid();
      // Midnight where the shed lies: that of Greenwich is of another day there, or still to come.
      const startsAt = new Date(instantOnDay(civilDate(fields.inServiceOn), 0, site.timeZone));
      const { bookIds, ...columns } = fields;
      await Machine.create({ ...NEW_MACHINE, ...columns, serial: columns.serial ?? '', id });
      await MachineBook.bulkCreate(bookIds.map((bookId) => ({ machineId: id, bookId })));
      await MeterSegmentRow.create({
        id: uuid(),
        machineId: id,
        meter: 'engine',
        startsAt,
        hoursOffset: 0,
        kind: 'first',
        reason: '',
      });
      await ReadingRow.create({
        id: uuid(),
        machineId: id,
        meter: 'engine',
        readAt: startsAt,
        shown: fields.inServiceHours,
        source: 'entry',
        enteredById: caller.id,
      });
      if (copyOfId) await this.parts.copy(copyOfId, [id], ['spec', 'seasons', 'attachments', 'overrides']);
      const alike = copyOfId ?? (await alikeOf(fields, id));
      if (alike) await this.parts.copy(alike, [id], ['fits']);
      this.work.changed('machines');
      return this.get(id);
    });
  }

  /** Changes what the machine was registered with. The day and hours it came with stay once they are in the meter's history. */
  async update(id: string, fields: UpdateMachineDto): Promise<MachineDetailDto> {
    const { today } = await this.calendar.read();
    return this.work.run(async () => {
      const machine = await Machine.findByPk(id, { lock: true });
      if (!machine) throw notFound('machine');
      if (machine.version !== fields.version) throw stale('machine', await this.get(id));
      await this.check(fields, today, machine);
      const { bookIds, version, ...columns } = fields;
      await machine.update({ ...columns, version: version + 1, factsRevision: machine.factsRevision + 1 });
      await MachineBook.destroy({ where: { machineId: id } });
      await MachineBook.bulkCreate(bookIds.map((bookId) => ({ machineId: id, bookId })));
      this.work.changed('machines');
      return this.get(id);
    });
  }

  /** Takes down when an item was last done, from the record that was kept before. */
  async declare(id: string, fields: DeclareDto, caller: Person): Promise<MachineDetailDto> {
    const { today, now } = await this.calendar.read();
    return this.work.run(async () => {
      await this.meters.lock([id]);
      const scheduled = await this.require(id);
      if (!scheduled.schedule.answers.some((answer) => answer.item.id === fields.itemId)) {
        throw fieldProblem(
          fault('/itemId', 'unknown', 'This machine has no such item. Choose one from its schedule.'),
        );
      }
      if (fields.doneOn > today) {
        throw fieldProblem(
          fault('/doneOn', 'future', 'That day is still to come. Give the day it was done.'),
        );
      }
      if (fields.life > scheduled.schedule.life) {
        const { life } = scheduled.schedule;
        throw fieldProblem(
          fault(
            '/life',
            'beyondMeter',
            `The machine has only run ${life} h. Give the hours at which it was done.`,
          ),
        );
      }
      await Declaration.create({
        id: uuid(),
        machineId: id,
        itemId: fields.itemId,
        doneOn: fields.doneOn,
        life: fields.life,
        note: fields.note ?? '',
        declaredAt: new Date(now),
        declaredById: caller.id,
      });
      await this.schedule.touched([id]);
      this.work.changed('machines');
      return this.get(id);
    });
  }

  private async require(id: string): Promise<ScheduledMachine> {
    const scheduled = await this.schedule.readOne(id);
    if (!scheduled) throw notFound('machine');
    return scheduled;
  }

  private async check(fields: MachineFieldsDto, today: CivilDate, before: Machine | null): Promise<void> {
    const faults = [];
    const same = await Machine.findOne({ where: { tag: fields.tag } });
    if (same && same.id !== before?.id) {
      faults.push(fault('/tag', 'taken', `${fields.tag} is already the tag of ${same.name}. Give another.`));
    }
    if (civilDate(fields.inServiceOn) > today) {
      faults.push(
        fault('/inServiceOn', 'future', 'That day is still to come. Give the day it came into service.'),
      );
    }
    if (
      before &&
      (before.inServiceOn !== fields.inServiceOn || before.inServiceHours !== fields.inServiceHours)
    ) {
      faults.push(
        fault(
          '/inServiceOn',
          'fixed',
          `It came into service on ${before.inServiceOn} at ${before.inServiceHours} h; its records count from there, so both stay.`,
        ),
      );
    }
    const books = await Book.count({ where: { id: fields.bookIds } });
    if (books !== fields.bookIds.length) {
      faults.push(
        fault('/bookIds', 'unknown', 'One of the service books is gone. Choose from the list again.'),
      );
    }
    if (faults.length) throw fieldProblem(...faults);
  }
}

/** Another machine of the same make and model of which somebody said what fits; null where there is none. */
async function alikeOf({ make, model }: MachineFieldsDto, id: string): Promise<string | null> {
  if (!make.trim() || !model.trim()) return null;
  const machines = await Machine.findAll({ where: { make, model, id: { [Op.ne]: id } }, attributes: ['id'] });
  const fit = await FitRow.findOne({
    where: { machineId: machines.map((machine) => machine.id) },
    order: ['machineId'],
  });
  return fit?.machineId ?? null;
}
