import { Injectable } from '@nestjs/common';
import { toWorkshopTimes } from '@yugator/contracts';
import type { FieldFaultDto, HandDto, UpdateWorkshopDaysDto, WorkshopDaysDto } from '@yugator/contracts';
import type { WorkshopTimes } from '@yugator/core';
import { v7 as uuid } from 'uuid';
import { grouped } from '../database/grouped.js';
import { UnitOfWork } from '../database/unitOfWork.js';
import { Machine } from '../models/machine.model.js';
import { Person } from '../models/person.model.js';
import {
  NeededDaysRow,
  WorkshopAbsence,
  WorkshopDayException,
  WorkshopHand,
  WorkshopWeekday,
} from '../models/plan.model.js';
import { Site } from '../models/site.model.js';
import { fault, fieldProblem, notFound, stale } from '../problem/problem.js';

const WEEK = [0, 1, 2, 3, 4, 5, 6];

/** The site, whose plan and days have a version each; locked, where one of them is to be changed. */
export async function planSite(lock = false): Promise<Site> {
  const site = await Site.findOne({ lock });
  if (!site) throw notFound('site');
  return site;
}

type Said = Omit<UpdateWorkshopDaysDto, 'version'>;

/** When the workshop is open. */
@Injectable()
export class WorkshopDays {
  constructor(private readonly work: UnitOfWork) {}

  async read(): Promise<WorkshopDaysDto> {
    const [site, week, exceptions, hands, absences, needed] = await Promise.all([
      planSite(),
      WorkshopWeekday.findAll({ raw: true }),
      WorkshopDayException.findAll({ order: ['onDay'], raw: true }),
      WorkshopHand.findAll({ order: ['personId', 'weekday'], raw: true }),
      WorkshopAbsence.findAll({ order: ['fromDay', 'untilDay', 'id'], raw: true }),
      NeededDaysRow.findAll({ order: ['fromDay', 'untilDay', 'id'], raw: true }),
    ]);
    return {
      week: WEEK.map((weekday) => {
        const known = week.find((each) => each.weekday === weekday);
        return { minutes: known?.minutes ?? 0, bays: known?.bays ?? 0 };
      }),
      exceptions: exceptions.map(({ onDay, minutes, bays, note }) => ({ on: onDay, minutes, bays, note })),
      hands: handsOf(hands),
      absences: absences.map(({ personId, fromDay, untilDay, note }) => ({
        personId,
        from: fromDay,
        until: untilDay,
        note,
      })),
      needed: needed.map(({ machineId, fromDay, untilDay, note }) => ({
        machineId,
        from: fromDay,
        until: untilDay,
        note,
      })),
      readyDays: site.readyDays,
      layUpDays: site.layUpDays,
      version: site.workshopDaysVersion,
    };
  }

  /** Writes the week, all exceptions and all days on which machines are needed anew. */
  async update({ version, ...said }: UpdateWorkshopDaysDto): Promise<WorkshopDaysDto> {
    return this.work.run(async () => {
      const site = await planSite(true);
      if (site.workshopDaysVersion !== version) throw stale('days of the workshop', await this.read());
      const faults = [...(await neededFaults(said)), ...(await handFaults(said)), ...absenceFaults(said)];
      if (faults.length) throw fieldProblem(...faults);
      const { week, exceptions, needed, readyDays, layUpDays } = said;
      await WorkshopWeekday.destroy({ where: {} });
      await WorkshopWeekday.bulkCreate(
        week.map(({ minutes, bays }, weekday) => ({ weekday, minutes, bays })),
      );
      await WorkshopDayException.destroy({ where: {} });
      await WorkshopDayException.bulkCreate(
        exceptions.map(({ on, minutes, bays, note = '' }) => ({ onDay: on, minutes, bays, note })),
      );
      await writeHands(said);
      await NeededDaysRow.destroy({ where: {} });
      await NeededDaysRow.bulkCreate(
        needed.map(({ machineId = null, from, until, note = '' }) => ({
          id: uuid(),
          machineId,
          fromDay: from,
          untilDay: until,
          note,
        })),
      );
      await site.update({ readyDays, layUpDays, workshopDaysVersion: version + 1 });
      this.work.changed('plan');
      return this.read();
    });
  }
}

/** Who works in the workshop, each once, with all seven days. */
function handsOf(rows: readonly WorkshopHand[]): HandDto[] {
  return [...grouped(rows, ({ personId }) => personId)].map(([personId, own]) => ({
    personId,
    week: WEEK.map((weekday) => ({ minutes: own.find((each) => each.weekday === weekday)?.minutes ?? 0 })),
  }));
}

async function writeHands({ hands, absences }: Said): Promise<void> {
  await WorkshopHand.destroy({ where: {} });
  await WorkshopHand.bulkCreate(
    hands.flatMap(({ personId, week }) =>
      week.map(({ minutes }, weekday) => ({ personId, weekday, minutes })),
    ),
  );
  await WorkshopAbsence.destroy({ where: {} });
  await WorkshopAbsence.bulkCreate(
    absences.map(({ personId, from, until, note = '' }) => ({
      id: uuid(),
      personId,
      fromDay: from,
      untilDay: until,
      note,
    })),
  );
}

/** When the workshop is open, and who of those who are still with the crew is in. */
export async function workshopTimes(said: WorkshopDaysDto): Promise<WorkshopTimes> {
  const active = await Person.findAll({ where: { active: true }, attributes: ['id'], raw: true });
  const isHere = new Set(active.map(({ id }) => id));
  return toWorkshopTimes(said, (personId) => isHere.has(personId));
}

function orderFaults(
  days: readonly { readonly from: string; readonly until: string }[],
  pointer: string,
): FieldFaultDto[] {
  return days.flatMap(({ from, until }, at) =>
    until < from
      ? [fault(`${pointer}/${at}/until`, 'beforeFrom', 'Give a last day on or after the first.')]
      : [],
  );
}

/** What speaks against days on which machines must not be missing. */
async function neededFaults({ needed }: Said): Promise<FieldFaultDto[]> {
  const ids = [...new Set(needed.flatMap(({ machineId }) => machineId ?? []))];
  const known = new Set(
    (await Machine.findAll({ where: { id: ids }, attributes: ['id'], raw: true })).map(({ id }) => id),
  );
  const gone = needed.flatMap(({ machineId }, at) =>
    machineId && !known.has(machineId)
      ? [fault(`/needed/${at}/machineId`, 'unknown', 'This machine is no longer in the fleet.')]
      : [],
  );
  return [...gone, ...orderFaults(needed, '/needed')];
}

/** What speaks against those who work in the workshop. */
async function handFaults({ hands }: Said): Promise<FieldFaultDto[]> {
  const ids = hands.map(({ personId }) => personId);
  const known = new Set(
    (await Person.findAll({ where: { id: ids }, attributes: ['id'], raw: true })).map(({ id }) => id),
  );
  return hands.flatMap(({ personId }, at) =>
    known.has(personId) ? [] : [fault(`/hands/${at}/personId`, 'unknown', 'Choose somebody of the crew.')],
  );
}

/** What speaks against days on which somebody is away. */
function absenceFaults({ hands, absences }: Said): FieldFaultDto[] {
  const known = new Set(hands.map(({ personId }) => personId));
  const strangers = absences.flatMap(({ personId }, at) =>
    known.has(personId)
      ? []
      : [
          fault(
            `/absences/${at}/personId`,
            'notInWorkshop',
            'Say first how long this person works in the workshop.',
          ),
        ],
  );
  return [...strangers, ...orderFaults(absences, '/absences')];
}
