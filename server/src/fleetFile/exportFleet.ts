import { Injectable } from '@nestjs/common';
import type {
  BookItemDto,
  BookItemFieldsDto,
  FileAttachmentDto,
  FileMachineDto,
  FilePointDto,
  FileSegmentDto,
  FleetFileDto,
} from '@yugator/contracts';
import { FILE_VERSION, machineFacts } from '@yugator/contracts';
import { OWN_ITEMS, withOtherItem, judgementOf } from '@yugator/core';
import type { Attachment, MeterSegment, Trigger } from '@yugator/core';
import { Book, Item } from '../models/book.model.js';
import { linesOf, toBookDto, toItemDtos } from '../books/toBookDto.js';
import { storedTriggers } from '../facts/scheduleItem.js';
import { grouped } from '../database/grouped.js';
import { Job, JobItem } from '../models/job.model.js';
import { ReadingRow } from '../models/meter.model.js';
import { Declaration } from '../models/declaration.model.js';
import { FleetFacts } from '../facts/fleetFacts.js';
import type { StoredMachine } from '../facts/fleetFacts.js';
import { Seasons } from '../season/seasons.js';
import { SiteCalendar } from '../site/siteCalendar.js';
import { Op } from 'sequelize';
import { exportShelf } from './exportShelf.js';
import { storedCard } from '../machine/storedCard.js';

/** The name of every line of a book, and of its book. */
interface LineName {
  readonly book: string;
  readonly item: string;
}

type Lines = ReadonlyMap<string, LineName>;

/** A point of a line that is still in a book; lines that were dropped have no name to go by. */
function toPoint(lines: Lines, itemId: string, on: string | null, life: number | null): FilePointDto[] {
  const line = lines.get(itemId);
  return line && on !== null && life !== null ? [{ ...line, on, life }] : [];
}

/** Writes the fleet as a file. Void readings and records stay behind: they do not count. */
@Injectable()
export class ExportFleet {
  constructor(
    private readonly facts: FleetFacts,
    private readonly calendar: SiteCalendar,
    private readonly seasons: Seasons,
  ) {}

  async file(): Promise<FleetFileDto> {
    const { site } = await this.calendar.read();
    const [books, machines, seasons] = await Promise.all([
      Book.findAll({ include: [Item], order: ['name'] }),
      this.facts.read(),
      this.seasons.all(),
    ]);
    const own = await Item.findAll({
      where: { machineId: { [Op.ne]: null }, dropped: false },
      order: ['place'],
    });
    const lines: Lines = new Map([
      ...books.flatMap((book) => linesOf(book).map((item) => named(item, book.name))),
      ...own.map((item) => named(item, OWN_ITEMS)),
    ]);
    const ownOf = grouped(own, ({ machineId }) => machineId);
    const bookNames = new Map(books.map(({ id, name }) => [id, name]));
    const seasonNames = new Map(seasons.map(({ id, name }) => [id, name]));
    const [history, { shelf, fits }] = await Promise.all([this.history(lines), exportShelf(site.currency)]);
    return {
      format: 'yugator-fleet',
      version: FILE_VERSION,
      site: { timeZone: site.timeZone, hoursGrid: site.hoursGrid },
      seasons: seasons.map(({ name, years }) => ({ name, years: years.map((year) => ({ ...year })) })),
      books: books.map((book) => {
        const { name, machineClass, meter, items } = toBookDto(book, []);
        return { name, machineClass, meter, items: items.map(withoutId) };
      }),
      machines: machines.map((stored) => ({
        ...this.machine(stored, lines, seasonNames),
        books: stored.bookIds.flatMap((id) => bookNames.get(id) ?? []),
        items: toItemDtos(ownOf.get(stored.machine.id) ?? []).map(withoutId),
        readings: history.readings.get(stored.machine.id) ?? [],
        done: history.done.get(stored.machine.id) ?? [],
        declared: history.declared.get(stored.machine.id) ?? [],
        judged: history.judged.get(stored.machine.id) ?? [],
        fits: fits.get(stored.machine.id) ?? [],
      })),
      shelf,
    };
  }

  private machine(
    { machine, facts, attachments, overrides }: StoredMachine,
    lines: Lines,
    seasonNames: ReadonlyMap<string, string>,
  ): Omit<FileMachineDto, 'books' | 'items' | 'readings' | 'done' | 'declared' | 'judged' | 'fits'> {
    return {
      ...machineFacts(machine),
      status: machine.status,
      statusSince: machine.statusSince,
      spec: storedCard(machine.spec),
      seasons: facts.participation.map(({ seasonId, hoursPerWeek }) => ({
        season: seasonNames.get(seasonId) ?? '',
        hoursPerWeek,
      })),
      attachments: attachments.map(({ kind, name: called, share, hoursAtStart, engineAtStart }) => ({
        kind,
        name: called,
        share,
        hoursAtStart,
        engineAtStart,
        ...ownMeter(facts.attachments.find(({ meter }) => meter === kind)),
      })),
      overrides: overrides.flatMap((row) => {
        const line = lines.get(row.itemId);
        const { isOmitted, dutyFactor, windowHours, windowDays, reason } = row;
        const named = (trigger: Trigger): Trigger =>
          withOtherItem(trigger, (itemId) => lines.get(itemId)?.item ?? itemId);
        const triggers = row.triggers === null ? null : storedTriggers(row.triggers).map(named);
        return line ? [{ ...line, isOmitted, dutyFactor, windowHours, windowDays, reason, triggers }] : [];
      }),
      segments: facts.segments.map(toFileSegment),
    };
  }

  private async history(lines: Lines) {
    const [readings, jobs, declarations] = await Promise.all([
      ReadingRow.findAll({ where: { voidedAt: null, meter: 'engine' }, order: ['readAt', 'id'], raw: true }),
      Job.findAll({
        where: { state: 'signedOff' },
        include: [JobItem],
        order: ['doneOn', 'signedOffAt', 'id'],
      }),
      Declaration.findAll({ order: ['doneOn', 'id'], raw: true }),
    ]);
    return {
      readings: byMachine(readings, ({ readAt, shown }) => [{ at: readAt.toISOString(), shown }]),
      done: byMachine(jobs, ({ items, doneOn, life }) =>
        (items ?? [])
          .filter(({ outcome }) => outcome === 'done')
          .flatMap(({ itemId }) => toPoint(lines, itemId, doneOn, life)),
      ),
      judged: byMachine(jobs, ({ items, doneOn, life }) =>
        (items ?? []).flatMap((item) => {
          const { itemId, untilLife, untilMeter: meter, untilOn } = item;
          const kind = judgementOf(item);
          const points = kind === null ? [] : toPoint(lines, itemId, doneOn, life);
          return points.flatMap((point) =>
            kind === null ? [] : [{ ...point, kind, untilLife, meter, untilOn }],
          );
        }),
      ),
      declared: byMachine(declarations, ({ itemId, doneOn, life }) => toPoint(lines, itemId, doneOn, life)),
    };
  }
}

function named({ id, name }: Item, book: string): [string, LineName] {
  return [id, { book, item: name }];
}

function withoutId({ id: _id, ...line }: BookItemDto): BookItemFieldsDto {
  return line;
}

function toFileSegment({ startsAt, offset }: MeterSegment): FileSegmentDto {
  return { startsAt: new Date(startsAt).toISOString(), offset };
}

/** What the own meter of an attachment said, where it has one. */
function ownMeter(attachment: Attachment | undefined): Pick<FileAttachmentDto, 'segments' | 'readings'> {
  if (attachment?.hours.kind !== 'own') return {};
  const { segments, readings } = attachment.hours;
  return {
    segments: segments.map(toFileSegment),
    readings: readings.map(({ at, shown }) => ({ at: new Date(at).toISOString(), shown })),
  };
}

function byMachine<Row extends { machineId: string }, T>(
  rows: readonly Row[],
  toValues: (row: Row) => readonly T[],
): Map<string, T[]> {
  const result = new Map<string, T[]>();
  for (const row of rows) {
    const values = result.get(row.machineId) ?? [];
    values.push(...toValues(row));
    result.set(row.machineId, values);
  }
  return result;
}
