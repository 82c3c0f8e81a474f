import { machineFacts, withComponents } from '@yugator/contracts';
import type { FileMachineDto, Outcome } from '@yugator/contracts';
import { nameKey, withOtherItem, outcomeOf } from '@yugator/core';
import type { MeterName, Trigger } from '@yugator/core';
import { known } from '../database/known.js';
import { AttachmentRow, MachineBook, MachineSeason } from '../models/machine.model.js';
import { ItemOverrideRow } from '../models/itemOverride.model.js';
import type { FileMeter } from './writeMeter.js';

/** Ids by the keys of the names that a file goes by. */
export interface Ids {
  readonly books: ReadonlyMap<string, string>;
  readonly seasons: ReadonlyMap<string, string>;
  /** by book, then by line */
  readonly lines: ReadonlyMap<string, ReadonlyMap<string, string>>;
}

/** What a machine is, as its columns hold it. */
export function columnsOf(machine: FileMachineDto) {
  return {
    ...machineFacts(machine),
    status: machine.status,
    statusSince: machine.statusSince ?? null,
    spec: machine.spec ? withComponents(machine.spec) : null,
  };
}

/** A line by the names of its book and its own. */
export interface LineRef {
  readonly book: string;
  readonly item: string;
}

type IdOf = (ref: LineRef) => string;

/** Readings of its own count before any share. */
function attachmentsOf({ attachments }: FileMachineDto) {
  return attachments.map((each) => (each.readings?.length ? { ...each, share: null } : each));
}

/** The books that a machine follows, its seasons, attachments and departures. */
export async function writeParts(
  machineId: string,
  machine: FileMachineDto,
  ids: Ids,
  idOf: IdOf,
): Promise<void> {
  await MachineBook.bulkCreate(
    machine.books.map((name) => ({ machineId, bookId: known(ids.books, nameKey(name)) })),
  );
  await MachineSeason.bulkCreate(
    machine.seasons.map(({ season, hoursPerWeek }) => ({
      machineId,
      seasonId: known(ids.seasons, nameKey(season)),
      hoursPerWeek,
    })),
  );
  await AttachmentRow.bulkCreate(
    attachmentsOf(machine).map(({ kind, name, share, hoursAtStart, engineAtStart }) => ({
      machineId,
      kind,
      name,
      share,
      hoursAtStart,
      engineAtStart,
    })),
  );
  await ItemOverrideRow.bulkCreate(
    machine.overrides.map(({ book, item, triggers, ...override }) => ({
      ...override,
      machineId,
      itemId: idOf({ book, item }),
      triggers: triggers?.map((trigger) => withId(trigger, book, idOf)) ?? null,
    })),
  );
}

/** The meters of a machine: its engine's, and those of attachments that have one of their own. */
export function metersOf(machine: FileMachineDto): FileMeter[] {
  const { segments, readings } = machine;
  const own = attachmentsOf(machine).filter(({ share }) => share === null);
  return [
    { meter: 'engine', segments, readings },
    ...own.map(({ kind, segments: ofIt = [], readings: read = [] }) => ({
      meter: kind,
      segments: ofIt,
      readings: read,
    })),
  ];
}

/** What was done and what was judged, by the ids of the lines. */
export function outcomesOf(
  { done, judged }: Pick<FileMachineDto, 'done' | 'judged'>,
  idOf: IdOf,
): FileOutcome[] {
  return [
    ...done.map((point) => ({
      ...point,
      itemId: idOf(point),
      outcome: 'done' as const,
      untilLife: null,
      untilMeter: null,
      untilOn: null,
    })),
    ...(judged ?? []).map(({ kind, meter = null, ...point }) => ({
      ...point,
      itemId: idOf(point),
      outcome: outcomeOf(kind),
      untilMeter: meter,
    })),
  ];
}

/** What was done or judged of a line. */
export interface FileOutcome {
  readonly itemId: string;
  readonly on: string;
  readonly life: number;
  readonly outcome: Outcome;
  readonly untilLife: number | null;
  readonly untilMeter: MeterName | null;
  readonly untilOn: string | null;
}

function withId(trigger: Trigger, book: string, idOf: IdOf): Trigger {
  // A line that is not there leaves its name, which no item answers to: the schedule says so.
  return withOtherItem(trigger, (item) => idOf({ book, item }) || item);
}
