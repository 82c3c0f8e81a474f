import { Injectable } from '@nestjs/common';
import { civilDate, judgementOf, lifeHours, withOverrides } from '@yugator/core';
import type {
  Attachment,
  AttachmentMeter,
  Extension,
  ItemHistory,
  ItemOverride,
  MachineFacts,
  Participation,
  ScheduleItem,
  ServicePoint,
  WorkPlace,
} from '@yugator/core';
import { grouped } from '../database/grouped.js';
import { Book, Item } from '../models/book.model.js';
import { storedTriggers, toScheduleItem } from './scheduleItem.js';
import { Job, JobItem } from '../models/job.model.js';
import { AttachmentRow, Machine, MachineBook, MachineSeason } from '../models/machine.model.js';
import { StoredMeters } from './storedMeters.js';
import { Declaration } from '../models/declaration.model.js';
import { ItemOverrideRow } from '../models/itemOverride.model.js';

/** A line of a machine's schedule besides what `core` reckons with. */
export interface ItemInfo {
  readonly bookName: string | null;
  readonly minutes: number;
  readonly reference: string;
  readonly note: string;
  /** on the walk-round or in a visit, where its line says so */
  readonly doneIn: WorkPlace | null;
}

/** A machine with all that its schedule follows from. */
export interface StoredMachine {
  readonly machine: Machine;
  readonly bookIds: readonly string[];
  readonly attachments: readonly AttachmentRow[];
  readonly overrides: readonly ItemOverrideRow[];
  readonly facts: MachineFacts;
  /** by item id */
  readonly info: ReadonlyMap<string, ItemInfo>;
}

interface ItemPoint extends ServicePoint {
  readonly itemId: string;
  readonly machineId: string;
}

interface ItemOutcome extends ItemPoint, Pick<JobItem, 'outcome' | 'untilLife' | 'untilMeter' | 'untilOn'> {}

interface OpenHistory extends ItemHistory {
  readonly completions: ItemPoint[];
  readonly declared: ItemPoint[];
  readonly extensions: Extension[];
}

function toExtension(said: ItemOutcome): Extension[] {
  const kind = judgementOf(said);
  if (kind === null) return [];
  const { on, life, untilLife, untilMeter, untilOn } = said;
  const until = { untilLife, meter: untilMeter, untilOn: untilOn === null ? null : civilDate(untilOn) };
  return [{ kind, made: { on, life }, ...until }];
}

function historyOf(
  outcomes: readonly ItemOutcome[],
  declared: readonly ItemPoint[],
): Map<string, ItemHistory> {
  const history = new Map<string, OpenHistory>();
  const of = (itemId: string) => {
    const known = history.get(itemId) ?? { completions: [], declared: [], extensions: [] };
    history.set(itemId, known);
    return known;
  };
  for (const outcome of outcomes) {
    if (outcome.outcome === 'done') of(outcome.itemId).completions.push(outcome);
    of(outcome.itemId).extensions.push(...toExtension(outcome));
  }
  for (const point of declared) of(point.itemId).declared.push(point);
  return history;
}

function toAttachment(row: AttachmentRow, meters: StoredMeters): Attachment {
  const { machineId, kind, share, hoursAtStart, engineAtStart } = row;
  const hours: AttachmentMeter =
    share === null
      ? { kind: 'own', hoursAtStart, ...meters.of(machineId, kind) }
      : { kind: 'share', share, hoursAtStart, engineAtStart };
  return { meter: kind, hours };
}

function toOverride(row: ItemOverrideRow): ItemOverride {
  const { itemId, isOmitted, dutyFactor, windowHours, windowDays, reason } = row;
  return {
    itemId,
    isOmitted,
    dutyFactor,
    reason,
    triggers: row.triggers === null ? null : storedTriggers(row.triggers),
    window: windowHours === null && windowDays === null ? null : { hours: windowHours, days: windowDays },
  };
}

/** The lines of all books, and those of single machines, read once for the whole fleet. */
class Lines {
  private readonly ofBook: ReadonlyMap<string | null, Item[]>;
  private readonly ofMachine: ReadonlyMap<string | null, Item[]>;
  private readonly bookNames: ReadonlyMap<string, string>;
  private readonly parsed = new Map<string, readonly ScheduleItem[]>();

  constructor(items: readonly Item[], books: readonly Book[]) {
    this.ofBook = grouped(items, (item) => item.bookId);
    this.ofMachine = grouped(items, (item) => item.machineId);
    this.bookNames = new Map(books.map(({ id, name }) => [id, name]));
  }

  /** Those that a machine follows: its books in their order, then its own. */
  followed(machineId: string, bookIds: readonly string[]): Item[] {
    return [
      ...bookIds.flatMap((bookId) => this.ofBook.get(bookId) ?? []),
      ...(this.ofMachine.get(machineId) ?? []),
    ];
  }

  /** Machines that follow the same lines share one list, so that what renews what is worked out once. */
  scheduleItems(items: readonly Item[]): readonly ScheduleItem[] {
    const key = items.map(({ id }) => id).join();
    const known = this.parsed.get(key) ?? items.map(toScheduleItem);
    this.parsed.set(key, known);
    return known;
  }

  info(item: Item): ItemInfo {
    const { minutes, reference, note, doneIn } = item;
    const bookName = this.bookNames.get(item.bookId ?? '') ?? null;
    return { bookName, minutes, reference, note, doneIn };
  }
}

/** Machines whose years of history are read at once: so many that others are not held up meanwhile. */
const BATCH = 40;

/** Reads what schedules follow from. */
@Injectable()
export class FleetFacts {
  /** The machines with these ids, or all, in the order of their tags. */
  async read(machineIds?: readonly string[]): Promise<StoredMachine[]> {
    const lines = await this.lines();
    const rows = await Machine.findAll({
      where: machineIds ? { id: [...machineIds] } : {},
      attributes: ['id'],
      order: ['tag'],
      raw: true,
    });
    const machines: StoredMachine[] = [];
    for (let from = 0; from < rows.length; from += BATCH) {
      const ids = rows.slice(from, from + BATCH).map(({ id }) => id);
      machines.push(...(await this.readBatch(ids, lines)));
    }
    return machines;
  }

  /** Some machines at once, in the order of their tags. */
  private async readBatch(ids: string[], lines: Lines): Promise<StoredMachine[]> {
    const where = { machineId: ids };
    const [machines, books, meters, outcomes, declarations, seasons, attachments, overrides] =
      await Promise.all([
        Machine.findAll({ where: { id: ids }, order: ['tag'] }),
        MachineBook.findAll({ where, raw: true }),
        StoredMeters.read(where),
        this.outcomes(where),
        this.declarations(where),
        MachineSeason.findAll({ where, raw: true }),
        AttachmentRow.findAll({ where, raw: true }),
        ItemOverrideRow.findAll({ where }),
      ]);
    const bookIdsOf = grouped(books, (row) => row.machineId);
    const seasonsOf = grouped(seasons, (row) => row.machineId);
    const attachmentsOf = grouped(attachments, (row) => row.machineId);
    const overridesOf = grouped(overrides, (row) => row.machineId);
    return machines.map((machine) => {
      const { id } = machine;
      const bookIds = (bookIdsOf.get(id) ?? []).map((row) => row.bookId);
      const items = lines.followed(id, bookIds);
      const own = overridesOf.get(id) ?? [];
      const parts = attachmentsOf.get(id) ?? [];
      const facts: MachineFacts = {
        entry: {
          on: civilDate(machine.inServiceOn),
          life: lifeHours(machine.inServiceHours),
          cameNew: machine.cameNew,
        },
        ...meters.of(id, 'engine'),
        attachments: parts.map((part) => toAttachment(part, meters)),
        participation: (seasonsOf.get(id) ?? [])
          .map(({ seasonId, hoursPerWeek }): Participation => ({ seasonId, hoursPerWeek }))
          .sort((a, b) => (a.seasonId < b.seasonId ? -1 : 1)),
        status: {
          kind: machine.status,
          since: machine.statusSince === null ? null : civilDate(machine.statusSince),
        },
        ...withOverrides(lines.scheduleItems(items), own.map(toOverride)),
        history: historyOf(outcomes.get(id) ?? [], declarations.get(id) ?? []),
      };
      const info = new Map(items.map((item) => [item.id, lines.info(item)]));
      return { machine, bookIds, attachments: parts, overrides: own, facts, info };
    });
  }

  private async lines(): Promise<Lines> {
    const [items, books] = await Promise.all([
      Item.findAll({ where: { dropped: false }, order: ['bookId', 'machineId', 'place'] }),
      Book.findAll({ attributes: ['id', 'name'], raw: true }),
    ]);
    return new Lines(items, books);
  }

  /** What became of items in jobs that were signed off. */
  private async outcomes(where: { machineId: string[] }): Promise<Map<string, ItemOutcome[]>> {
    const jobs = await Job.findAll({
      where: { ...where, state: 'signedOff' },
      attributes: ['id', 'machineId', 'doneOn', 'life'],
      raw: true,
    });
    const jobsById = new Map(jobs.map((job) => [job.id, job]));
    // By their jobs, which the database finds by their machines; a list of ids would make it read them all.
    const rows = await JobItem.findAll({
      where: { outcome: ['done', 'kept', 'deferred'] },
      attributes: ['jobId', 'itemId', 'outcome', 'untilLife', 'untilMeter', 'untilOn'],
      include: [{ model: Job, attributes: [], required: true, where: { ...where, state: 'signedOff' } }],
      raw: true,
    });
    const outcomes = rows.flatMap(({ jobId, ...row }): ItemOutcome[] => {
      const job = jobsById.get(jobId);
      if (!job || job.doneOn === null || job.life === null) return [];
      return [{ ...row, machineId: job.machineId, on: civilDate(job.doneOn), life: lifeHours(job.life) }];
    });
    return grouped(outcomes, (outcome) => outcome.machineId);
  }

  private async declarations(where: { machineId: string[] }): Promise<Map<string, ItemPoint[]>> {
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
