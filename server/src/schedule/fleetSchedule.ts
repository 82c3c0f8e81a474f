import { Injectable } from '@nestjs/common';
import { civilDate, lifeHours, machineSchedule } from '@yugator/core';
import type {
  Instant,
  ItemHistory,
  MachineFacts,
  MachineSchedule,
  MeterSegment,
  Reading,
  ScheduleItem,
  ServicePoint,
} from '@yugator/core';
import { Item, ItemTrigger } from '../books/book.model.js';
import { toScheduleItem } from '../books/toScheduleItem.js';
import { Job, JobItem } from '../job/job.model.js';
import { Machine, MachineBook } from '../machine/machine.model.js';
import { MeterSegmentRow, ReadingRow } from '../meter/meter.model.js';
import { SiteCalendar } from '../site/siteCalendar.js';
import { Declaration } from './declaration.model.js';

/** A machine with its schedule of today. */
export interface ScheduledMachine {
  readonly machine: Machine;
  readonly bookIds: readonly string[];
  readonly segments: readonly MeterSegment[];
  readonly schedule: MachineSchedule;
  /** by item id: the times each item was done, in no order */
  readonly history: ReadonlyMap<string, ItemHistory>;
  /** by item id */
  readonly minutes: ReadonlyMap<string, number>;
}

/** Rows by the value of one of their columns. */
function grouped<T, K>(rows: readonly T[], key: (row: T) => K): Map<K, T[]> {
  const groups = new Map<K, T[]>();
  for (const row of rows) {
    const group = groups.get(key(row));
    if (group) group.push(row);
    else groups.set(key(row), [row]);
  }
  return groups;
}

interface ItemPoint extends ServicePoint {
  readonly itemId: string;
  readonly machineId: string;
}

function historyOf(
  completions: readonly ItemPoint[],
  declared: readonly ItemPoint[],
): Map<string, ItemHistory> {
  const history = new Map<string, { completions: ItemPoint[]; declared: ItemPoint[] }>();
  const of = (itemId: string) => {
    const known = history.get(itemId) ?? { completions: [], declared: [] };
    history.set(itemId, known);
    return known;
  };
  for (const point of completions) of(point.itemId).completions.push(point);
  for (const point of declared) of(point.itemId).declared.push(point);
  return history;
}

/** Gathers what the schedule of each machine follows from and has `core` work it out. */
@Injectable()
export class FleetSchedule {
  constructor(private readonly calendar: SiteCalendar) {}

  /** All machines, or the one with `machineId`, in the order of their tags. */
  async read(machineId?: string): Promise<ScheduledMachine[]> {
    const ofMachine = machineId === undefined ? {} : { machineId };
    const { site, today } = await this.calendar.read();
    const [machines, segments, readings, books, completions, declarations] = await Promise.all([
      Machine.findAll({ where: machineId === undefined ? {} : { id: machineId }, order: ['tag'] }),
      this.segments(ofMachine),
      this.readings(ofMachine),
      MachineBook.findAll({ where: ofMachine }),
      this.completions(ofMachine),
      this.declarations(ofMachine),
    ]);
    const items = grouped(await Item.findAll({ include: [ItemTrigger] }), (item) => item.bookId);
    const booksOf = grouped(books, (row) => row.machineId);
    return machines.map((machine) => {
      const bookIds = (booksOf.get(machine.id) ?? []).map((row) => row.bookId);
      const followed = bookIds.flatMap((bookId) => items.get(bookId) ?? []);
      const history = historyOf(completions.get(machine.id) ?? [], declarations.get(machine.id) ?? []);
      const ownSegments = segments.get(machine.id) ?? [];
      const facts = this.facts(
        machine,
        ownSegments,
        readings.get(machine.id) ?? [],
        followed.map(toScheduleItem),
        history,
      );
      return {
        machine,
        bookIds,
        segments: ownSegments,
        history,
        minutes: new Map(followed.map((item) => [item.id, item.minutes])),
        schedule: machineSchedule(facts, today, site.timeZone),
      };
    });
  }

  /** One machine, or undefined where there is none of that id. */
  async readOne(machineId: string): Promise<ScheduledMachine | undefined> {
    return (await this.read(machineId))[0];
  }

  private facts(
    machine: Machine,
    segments: readonly MeterSegment[],
    readings: readonly Reading[],
    items: readonly ScheduleItem[],
    history: ReadonlyMap<string, ItemHistory>,
  ): MachineFacts {
    const entry = {
      on: civilDate(machine.inServiceOn),
      life: lifeHours(machine.inServiceHours),
      cameNew: machine.cameNew,
    };
    return { entry, segments, readings, items, history };
  }

  private async segments(where: { machineId?: string }): Promise<Map<string, MeterSegment[]>> {
    const rows = await MeterSegmentRow.findAll({ where, order: ['startsAt'], raw: true });
    const segments = new Map<string, MeterSegment[]>();
    for (const [id, own] of grouped(rows, (row) => row.machineId)) {
      segments.set(
        id,
        own.map((row) => ({ startsAt: row.startsAt.getTime() as Instant, offset: row.hoursOffset })),
      );
    }
    return segments;
  }

  private async readings(where: { machineId?: string }): Promise<Map<string, Reading[]>> {
    const rows = await ReadingRow.findAll({
      where: { ...where, voidedAt: null },
      attributes: ['machineId', 'readAt', 'shown'],
      raw: true,
    });
    const readings = new Map<string, Reading[]>();
    for (const [id, own] of grouped(rows, (row) => row.machineId)) {
      readings.set(
        id,
        own.map((row) => ({ at: row.readAt.getTime() as Instant, shown: row.shown })),
      );
    }
    return readings;
  }

  private async completions(where: { machineId?: string }): Promise<Map<string, ItemPoint[]>> {
    const jobs = await Job.findAll({
      where: { ...where, state: 'signedOff' },
      attributes: ['id', 'machineId', 'doneOn', 'life'],
      raw: true,
    });
    const jobsById = new Map(jobs.map((job) => [job.id, job]));
    const ticked = await JobItem.findAll({
      where: { ticked: true },
      include: [{ model: Job, attributes: [], required: true, where: { ...where, state: 'signedOff' } }],
      attributes: ['jobId', 'itemId'],
      raw: true,
    });
    const points = ticked.flatMap(({ jobId, itemId }): ItemPoint[] => {
      const job = jobsById.get(jobId);
      if (!job || job.doneOn === null || job.life === null) return [];
      return [{ machineId: job.machineId, itemId, on: civilDate(job.doneOn), life: lifeHours(job.life) }];
    });
    return grouped(points, (point) => point.machineId);
  }

  private async declarations(where: { machineId?: string }): Promise<Map<string, ItemPoint[]>> {
    const rows = await Declaration.findAll({ where, raw: true });
    const points = rows.map((row): ItemPoint => ({
      machineId: row.machineId,
      itemId: row.itemId,
      on: civilDate(row.doneOn),
      life: lifeHours(row.life),
    }));
    return grouped(points, (point) => point.machineId);
  }
}
