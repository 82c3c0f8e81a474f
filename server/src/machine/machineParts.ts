import { Injectable } from '@nestjs/common';
import { lineFaults, specFaults } from '@yugator/contracts';
import type {
  AttachmentKind,
  ChangeStatusDto,
  FieldFaultDto,
  OverrideFieldsDto,
  SharedPart,
  ShareDto,
  UpdateAttachmentsDto,
  UpdateOwnItemsDto,
  UpdateParticipationDto,
  UpdatePhotoDto,
  UpdateSpecDto,
} from '@yugator/contracts';
import { v7 as uuid } from 'uuid';
import { Item } from '../models/book.model.js';
import { storedTriggers } from '../facts/scheduleItem.js';
import { writeLines } from '../books/writeBook.js';
import { UnitOfWork } from '../database/unitOfWork.js';
import { MeterSegmentRow, ReadingRow } from '../models/meter.model.js';
import { Person } from '../models/person.model.js';
import { Photos } from '../photo/photos.js';
import { fault, fieldProblem, notFound, stale } from '../problem/problem.js';
import { FleetSchedule } from '../schedule/fleetSchedule.js';
import { ItemOverrideRow } from '../models/itemOverride.model.js';
import { SeasonRow } from '../models/season.model.js';
import { FitRow } from '../models/shelf.model.js';
import { SiteCalendar } from '../site/siteCalendar.js';
import {
  AttachmentRow,
  Machine,
  MachineBook,
  MachinePhoto,
  MachineSeason,
  StatusChange,
} from '../models/machine.model.js';
import { withComponents } from '@yugator/contracts';
import type { OwnWay } from '@yugator/core';
import { storedCard, storedCardOrEmpty } from './storedCard.js';

/** The faults of rows of which each may stand there once. */
function repeated<T>(
  rows: readonly T[],
  key: (row: T) => string,
  path: string,
  detail: string,
): FieldFaultDto[] {
  const keys = rows.map(key);
  return keys.flatMap((own, index) =>
    keys.indexOf(own) < index ? [fault(`${path}/${index}`, 'repeated', detail)] : [],
  );
}

/** House rules are the crew lead's, those of one machine too. */
function checkWays(before: readonly OwnWay[], now: readonly OwnWay[], caller: Person): void {
  const said = (ways: readonly OwnWay[]) => JSON.stringify(ways.map(({ way, why }) => [way, why]));
  if (caller.role === 'crewLead' || said(before) === said(now)) return;
  const detail = 'The crew lead chooses the house rules, those of one machine too. Leave them as they are.';
  throw fieldProblem(fault('/spec/ways', 'notAllowed', detail));
}

/** What hangs on a machine: its status, seasons, attachments, spec card and departures from its books. */
@Injectable()
export class MachineParts {
  constructor(
    private readonly work: UnitOfWork,
    private readonly calendar: SiteCalendar,
    private readonly schedule: FleetSchedule,
    private readonly photos: Photos,
  ) {}

  async changeStatus(id: string, fields: ChangeStatusDto, caller: Person): Promise<void> {
    const { today, now } = await this.calendar.read();
    if (fields.since > today) {
      throw fieldProblem(
        fault('/since', 'future', 'That day is still to come. Give today or an earlier day.'),
      );
    }
    const { status, since, reason } = fields;
    await this.change(id, fields.version, async (machine) => {
      if (since < machine.inServiceOn) {
        throw fieldProblem(
          fault(
            '/since',
            'beforeService',
            `It came into service on ${machine.inServiceOn}. Give a day from then on.`,
          ),
        );
      }
      await machine.update({ status, statusSince: since });
      await StatusChange.create({
        id: uuid(),
        machineId: id,
        status,
        since,
        reason,
        changedAt: new Date(now),
        changedById: caller.id,
      });
    });
  }

  async updateParticipation(id: string, { version, participation }: UpdateParticipationDto): Promise<void> {
    const faults = repeated(
      participation,
      ({ seasonId }) => seasonId,
      '/participation',
      'The machine stands in this season twice. Keep one line.',
    );
    const known = new Set((await SeasonRow.findAll({ attributes: ['id'] })).map((season) => season.id));
    participation.forEach(({ seasonId }, index) => {
      if (!known.has(seasonId)) {
        faults.push(
          fault(`/participation/${index}/seasonId`, 'unknown', 'This season is gone. Take the line out.'),
        );
      }
    });
    if (faults.length) throw fieldProblem(...faults);
    await this.change(id, version, async () => {
      await MachineSeason.destroy({ where: { machineId: id } });
      await MachineSeason.bulkCreate(participation.map((part) => ({ machineId: id, ...part })));
    });
  }

  async updateAttachments(
    id: string,
    { version, attachments }: UpdateAttachmentsDto,
    caller: Person,
  ): Promise<void> {
    const faults = repeated(
      attachments,
      ({ kind }) => kind,
      '/attachments',
      'The machine has one attachment of each kind. Keep one line.',
    );
    if (faults.length) throw fieldProblem(...faults);
    await this.change(id, version, async () => {
      await AttachmentRow.destroy({ where: { machineId: id } });
      await AttachmentRow.bulkCreate(attachments.map((attachment) => ({ machineId: id, ...attachment })));
      for (const { kind, share, hoursAtStart } of attachments) {
        if (share === null) await this.beginMeter(id, kind, hoursAtStart, caller.id);
      }
    });
  }

  async updateSpec(id: string, { version, spec }: UpdateSpecDto, caller: Person): Promise<void> {
    const faults = specFaults(spec, '/spec');
    if (faults.length) throw fieldProblem(...faults);
    await this.change(id, version, async (machine) => {
      checkWays(storedCardOrEmpty(machine.spec).ways, spec.ways, caller);
      await machine.update({ spec: withComponents(spec) });
    });
  }

  /** Keeps a photo of the machine, or takes it away. */
  async updatePhoto(id: string, { jpeg }: UpdatePhotoDto, caller: Person): Promise<void> {
    const [bytes] = jpeg === null ? [] : await this.photos.clean([{ base64: jpeg, pointer: '/jpeg' }]);
    await this.change(id, null, async () => {
      if (bytes) {
        await this.photos.count(1, caller);
        await MachinePhoto.upsert({ machineId: id, bytes, revision: uuid() });
      } else await MachinePhoto.destroy({ where: { machineId: id } });
    });
  }

  /** Writes the items that only this machine has. */
  async updateOwnItems(id: string, { version, items }: UpdateOwnItemsDto): Promise<void> {
    const faults = lineFaults({ items }, '');
    if (faults.length) throw fieldProblem(...faults);
    await this.change(id, version, () => writeLines({ machineId: id }, items));
  }

  /** Departs from a line of the machine's books, or goes on departing otherwise. */
  async override(id: string, itemId: string, fields: OverrideFieldsDto): Promise<void> {
    const { triggers, dutyFactor, windowHours, windowDays, isOmitted, reason } = fields;
    const columns = {
      isOmitted,
      reason,
      triggers: triggers ?? null,
      dutyFactor: dutyFactor ?? null,
      windowHours: windowHours ?? null,
      windowDays: windowDays ?? null,
    };
    await this.change(id, null, async () => {
      const item = await Item.findByPk(itemId);
      if (!item || item.dropped || !(await isOfMachine(item, id))) throw notFound('line of its books');
      await ItemOverrideRow.upsert({ machineId: id, itemId, ...columns });
    });
  }

  /** Follows the book again. */
  async dropOverride(id: string, itemId: string): Promise<void> {
    await this.change(id, null, async () => {
      await ItemOverrideRow.destroy({ where: { machineId: id, itemId } });
    });
  }

  /** Hands parts of one machine on to others, which lose their own. */
  async share(id: string, { machineIds, parts }: ShareDto): Promise<void> {
    await this.work.run(async () => {
      const others = await Machine.count({ where: { id: machineIds } });
      if (others !== new Set(machineIds).size) {
        throw fieldProblem(fault('/machineIds', 'unknown', 'One of the machines is gone. Choose again.'));
      }
      await this.copy(id, machineIds, parts);
      this.work.changed('machines');
    });
  }

  /** Copies parts inside the running unit of work. */
  async copy(fromId: string, toIds: readonly string[], parts: readonly SharedPart[]): Promise<void> {
    const from = await Machine.findByPk(fromId);
    if (!from) throw notFound('machine to copy');
    const targets = toIds.filter((id) => id !== fromId);
    const where = { machineId: targets };
    const each = <T extends object>(rows: readonly T[]) =>
      targets.flatMap((machineId) => rows.map((row) => ({ ...row, machineId })));
    const own = { where: { machineId: fromId }, raw: true } as const;
    for (const part of parts) {
      switch (part) {
        case 'spec':
          await Machine.update({ spec: storedCard(from.spec) }, { where: { id: targets } });
          break;
        case 'books':
          await MachineBook.destroy({ where });
          await MachineBook.bulkCreate(
            each((await MachineBook.findAll(own)).map(({ bookId }) => ({ bookId }))),
          );
          break;
        case 'seasons':
          await MachineSeason.destroy({ where });
          await MachineSeason.bulkCreate(
            each(
              (await MachineSeason.findAll(own)).map(({ seasonId, hoursPerWeek }) => ({
                seasonId,
                hoursPerWeek,
              })),
            ),
          );
          break;
        case 'attachments':
          await AttachmentRow.destroy({ where });
          for (const row of each(await AttachmentRow.findAll(own))) {
            await AttachmentRow.create({ ...row, ...FROM_NEW });
            if (row.share === null) await this.beginMeter(row.machineId, row.kind, 0, null);
          }
          break;
        case 'overrides':
          await ItemOverrideRow.destroy({ where });
          await ItemOverrideRow.bulkCreate(
            each((await ItemOverrideRow.findAll({ where: own.where })).map(overrideColumns)),
          );
          break;
        case 'fits':
          await FitRow.destroy({ where });
          await FitRow.bulkCreate(each((await FitRow.findAll({ where: own.where })).map(fitColumns)));
          break;
      }
    }
    await Machine.increment('version', { where: { id: targets } });
    await this.schedule.touched(targets);
  }

  /** Takes an attachment's own meter down as it is first read; one that was on the machine before goes on. */
  private async beginMeter(
    machineId: string,
    meter: AttachmentKind,
    shown: number,
    enteredById: string | null,
  ): Promise<void> {
    if (await MeterSegmentRow.count({ where: { machineId, meter } })) return;
    const { now } = await this.calendar.read();
    const at = new Date(now);
    await MeterSegmentRow.create({
      id: uuid(),
      machineId,
      meter,
      startsAt: at,
      hoursOffset: 0,
      kind: 'first',
      reason: '',
    });
    await ReadingRow.create({
      id: uuid(),
      machineId,
      meter,
      readAt: at,
      shown,
      source: 'entry',
      enteredById,
    });
  }

  private async change(
    id: string,
    version: number | null,
    work: (machine: Machine) => Promise<void>,
  ): Promise<void> {
    await this.work.run(async () => {
      const machine = await Machine.findByPk(id, { lock: true });
      if (!machine) throw notFound('machine');
      if (version !== null && machine.version !== version) {
        const { tag, name, version: now } = machine;
        throw stale('machine', { id, tag, name, version: now });
      }
      await work(machine);
      await machine.update({ version: machine.version + 1, factsRevision: machine.factsRevision + 1 });
      this.work.changed('machines');
    });
  }
}

/** Whether a line stands in a book that the machine follows, or is its own. */
async function isOfMachine({ bookId, machineId }: Item, id: string): Promise<boolean> {
  if (bookId === null) return machineId === id;
  return (await MachineBook.count({ where: { machineId: id, bookId } })) > 0;
}

function overrideColumns(row: ItemOverrideRow) {
  const { itemId, isOmitted, dutyFactor, windowHours, windowDays, reason } = row;
  const triggers = row.triggers === null ? null : storedTriggers(row.triggers);
  return { itemId, isOmitted, dutyFactor, windowHours, windowDays, reason, triggers };
}

function fitColumns({ component, articleId, quantity, standing, reason }: FitRow) {
  return { component, articleId, quantity, standing, reason };
}

/** The hours of another machine's attachment are not those of this one's. */
const FROM_NEW = { hoursAtStart: 0, engineAtStart: 0 };
