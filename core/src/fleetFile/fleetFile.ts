import { civilDate } from '../calendar/civilDate.js';
import { instant } from '../calendar/instant.js';
import type { AttachmentMeter } from '../meter/attachment.js';
import { lifeHours } from '../meter/lifeHours.js';
import type { MeterName, HoursGrid, Trigger } from '../schedule/trigger.js';
import type { Action, ScheduleItem } from '../schedule/item.js';
import type { Extension, ItemHistory, ServicePoint } from '../schedule/baseline.js';
import { withOverrides } from '../schedule/override.js';
import { parseTrigger } from '../schedule/triggerKinds.js';
import { withOtherItem } from '../schedule/triggers/everyNth.js';
import type { MachineFacts } from '../schedule/machineSchedule.js';
import type { StatusKind } from '../schedule/workingTime.js';
import type { Component } from '../component/components.js';
import type { Consequence } from '../component/consequence.js';
import { lineComponents } from '../component/lineComponents.js';
import type { SiteSettings } from '../schedule/scheduleContext.js';

/** A fleet as it is exported: everything that due answers follow from, with names in place of ids. */
export interface FleetFile {
  readonly site: { readonly timeZone: string; readonly hoursGrid: HoursGrid };
  readonly seasons: readonly FileSeason[];
  readonly books: readonly FileBook[];
  readonly machines: readonly FileMachine[];
}

export interface FileSeason {
  readonly name: string;
  readonly years: readonly { readonly year: number; readonly firstDay: string; readonly lastDay: string }[];
}

export interface FileBook {
  readonly name: string;
  readonly items: readonly FileItem[];
}

export interface FileItem {
  readonly name: string;
  readonly action: Action;
  readonly components?: readonly Component[];
  /** the free words of an older version, where components are left out */
  readonly component?: string;
  /** an every-n-th rule names the other line of the book */
  readonly triggers: readonly Trigger[];
  readonly renews: readonly string[];
  readonly windowHours?: number | null;
  readonly windowDays?: number | null;
  readonly consequence?: Consequence | null;
}

/** What `book` is for an item that only the machine has. */
export const OWN_ITEMS = '';

/** A line of a book, or an item of the machine's own. */
export interface FileItemRef {
  readonly book: string;
  readonly item: string;
}

/** A time a line was done. */
export interface FilePoint extends FileItemRef {
  readonly on: string;
  readonly life: number;
}

/** A line that was looked at and kept, or put off, and until when. */
export interface FileJudgement extends FilePoint {
  readonly kind: Extension['kind'];
  readonly untilLife: number | null;
  /** the meter of those hours; left out or null for the engine's */
  readonly meter?: MeterName | null;
  readonly untilOn: string | null;
}

export interface FileOverride extends FileItemRef {
  readonly isOmitted: boolean;
  readonly triggers: readonly Trigger[] | null;
  readonly dutyFactor?: number | null;
  readonly windowHours?: number | null;
  readonly windowDays?: number | null;
  readonly reason: string;
}

export interface FileSegment {
  readonly startsAt: string;
  readonly offset: number;
}

export interface FileReading {
  readonly at: string;
  readonly shown: number;
}

export interface FileMachine {
  readonly tag: string;
  readonly inServiceOn: string;
  readonly inServiceHours: number;
  readonly cameNew: boolean;
  readonly status: StatusKind;
  readonly statusSince?: string | null;
  readonly books: readonly string[];
  /** what only this machine has */
  readonly items?: readonly FileItem[];
  readonly seasons: readonly { readonly season: string; readonly hoursPerWeek: number }[];
  readonly attachments: readonly {
    readonly kind: Exclude<MeterName, 'engine'>;
    /** of the engine's hours; null where it has a meter of its own; readings of its own count before any share */
    readonly share: number | null;
    readonly hoursAtStart: number;
    readonly engineAtStart: number;
    readonly segments?: readonly FileSegment[];
    readonly readings?: readonly FileReading[];
  }[];
  readonly overrides: readonly FileOverride[];
  readonly segments: readonly FileSegment[];
  readonly readings: readonly FileReading[];
  readonly done: readonly FilePoint[];
  readonly declared: readonly FilePoint[];
  readonly judged?: readonly FileJudgement[];
}

/** The id that stands for a line of a book while a file is reckoned with. */
export function fileItemId({ book, item }: FileItemRef): string {
  return `${book} / ${item}`;
}

/** A trigger with all that its kind has, where the file left out what is usual. Throws a RangeError for what is none. */
function wholeTrigger(loose: Trigger, book: string): Trigger {
  const parsed = parseTrigger(loose);
  if ('fault' in parsed) throw new RangeError(`A trigger of "${book}" is wrong: ${parsed.fault}.`);
  return withOtherItem(parsed.trigger, (item) => fileItemId({ book, item }));
}

function withIds(triggers: readonly Trigger[], book: string): Trigger[] {
  return triggers.map((trigger) => wholeTrigger(trigger, book));
}

function itemsOf(book: Pick<FileBook, 'name' | 'items'>): ScheduleItem[] {
  return book.items.map((item) => ({
    id: fileItemId({ book: book.name, item: item.name }),
    name: item.name,
    action: item.action,
    ...lineComponents(item),
    dutyFactor: 1,
    triggers: withIds(item.triggers, book.name),
    renews: item.renews.map((other) => fileItemId({ book: book.name, item: other })),
    window: { hours: item.windowHours ?? null, days: item.windowDays ?? null },
    consequence: item.consequence ?? null,
  }));
}

interface OpenHistory extends ItemHistory {
  readonly completions: ServicePoint[];
  readonly declared: ServicePoint[];
  readonly extensions: Extension[];
}

function toServicePoint({ on, life }: FilePoint): ServicePoint {
  return { on: civilDate(on), life: lifeHours(life) };
}

function toExtension(judgement: FileJudgement): Extension {
  const { kind, untilLife, untilOn, meter = null } = judgement;
  const made = toServicePoint(judgement);
  return { kind, made, untilLife, meter, untilOn: untilOn === null ? null : civilDate(untilOn) };
}

function historyOf({ done, declared, judged = [] }: FileMachine): Map<string, ItemHistory> {
  const history = new Map<string, OpenHistory>();
  const of = (point: FilePoint) => {
    const id = fileItemId(point);
    const own = history.get(id) ?? { completions: [], declared: [], extensions: [] };
    history.set(id, own);
    return own;
  };
  for (const point of done) of(point).completions.push(toServicePoint(point));
  for (const point of declared) of(point).declared.push(toServicePoint(point));
  for (const judgement of judged) {
    of(judgement).extensions.push(toExtension(judgement));
    // A check that leaves the next one out was made.
    if (judgement.kind === 'leftOut') of(judgement).completions.push(toServicePoint(judgement));
  }
  return history;
}

/** A meter; one without segments shows its life hours from the day the machine entered service. */
function meterOf(
  { segments = [], readings = [] }: { segments?: readonly FileSegment[]; readings?: readonly FileReading[] },
  inServiceOn: string,
): Pick<MachineFacts, 'segments' | 'readings'> {
  const first = { startsAt: `${inServiceOn}T00:00:00Z`, offset: 0 };
  return {
    segments: (segments.length ? segments : [first]).map(({ startsAt, offset }) => ({
      startsAt: instant(startsAt),
      offset,
    })),
    readings: readings.map(({ at, shown }) => ({ at: instant(at), shown })),
  };
}

function hoursOf(attachment: FileMachine['attachments'][number], inServiceOn: string): AttachmentMeter {
  const { share, hoursAtStart, engineAtStart, readings = [] } = attachment;
  return share === null || readings.length > 0
    ? { kind: 'own', hoursAtStart, ...meterOf(attachment, inServiceOn) }
    : { kind: 'share', share, hoursAtStart, engineAtStart };
}

/** What is shared by the machines of a file. */
export function siteOfFile({ site, seasons }: FleetFile): SiteSettings {
  return {
    timeZone: site.timeZone,
    grid: site.hoursGrid,
    seasons: seasons.map(({ name, years }) => ({
      id: name,
      name,
      years: years.map(({ year, firstDay, lastDay }) => ({
        year,
        firstDay: civilDate(firstDay),
        lastDay: civilDate(lastDay),
      })),
    })),
  };
}

/** By the books of a file: the lines of each combination of them that machines follow. */
const linesOf = new WeakMap<readonly FileBook[], Map<string, readonly ScheduleItem[]>>();

/** The lines of some books; machines that follow the same share one list, so that what renews what is worked out once. */
function followedLines(names: readonly string[], books: readonly FileBook[]): readonly ScheduleItem[] {
  const known = linesOf.get(books) ?? new Map<string, readonly ScheduleItem[]>();
  linesOf.set(books, known);
  const key = JSON.stringify(names);
  const lines =
    known.get(key) ?? names.flatMap((name) => books.filter((book) => book.name === name)).flatMap(itemsOf);
  known.set(key, lines);
  return lines;
}

/** All that the schedule of one machine of a file follows from. Throws a RangeError for dates or hours that cannot be. */
export function factsOfFile(machine: FileMachine, books: readonly FileBook[]): MachineFacts {
  const followed = followedLines(machine.books, books);
  const own = itemsOf({ name: OWN_ITEMS, items: machine.items ?? [] });
  const items = own.length ? [...followed, ...own] : followed;
  const overrides = machine.overrides.map(({ windowHours, windowDays, ...override }) => ({
    ...override,
    itemId: fileItemId(override),
    triggers: override.triggers && withIds(override.triggers, override.book),
    dutyFactor: override.dutyFactor ?? null,
    window:
      (windowHours ?? null) === null && (windowDays ?? null) === null
        ? null
        : { hours: windowHours ?? null, days: windowDays ?? null },
  }));
  const entry = {
    on: civilDate(machine.inServiceOn),
    life: lifeHours(machine.inServiceHours),
    cameNew: machine.cameNew,
  };
  return {
    entry,
    ...meterOf(machine, machine.inServiceOn),
    attachments: machine.attachments.map((attachment) => ({
      meter: attachment.kind,
      hours: hoursOf(attachment, machine.inServiceOn),
    })),
    participation: machine.seasons.map(({ season, hoursPerWeek }) => ({ seasonId: season, hoursPerWeek })),
    status: {
      kind: machine.status,
      since: machine.statusSince ? civilDate(machine.statusSince) : null,
    },
    ...withOverrides(items, overrides),
    history: historyOf(machine),
  };
}
