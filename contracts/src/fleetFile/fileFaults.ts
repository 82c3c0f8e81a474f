import { instant, nameKey, OWN_ITEMS, repeatedNames, sequenceFaults } from '@yugator/core';
import type { PlacedFault } from '@yugator/core';
import { lineFaults } from '../books/lineFaults.js';
import { specFaults } from '../machine/specFaults.js';
import { faultWords } from '../meter/faultWords.js';
import { fault } from '../problem/fault.js';
import type { FieldFaultDto } from '../problem/problem.dto.js';
import { shelfFaults } from './shelfFaults.js';
import type { KnownShelf } from './shelfFaults.js';
import { seasonFaults } from '../season/seasonFaults.js';
import type { FileAttachmentDto, FileMachineDto, FileSegmentDto, FleetFileDto } from './fleetFile.dto.js';

/** What a site has already that a file may refer to, or must not bring again; names by their {@link nameKey}. */
export interface KnownNames {
  readonly tags: ReadonlySet<string>;
  readonly seasons: ReadonlySet<string>;
  /** by book: the keys of its lines */
  readonly books: ReadonlyMap<string, ReadonlySet<string>>;
  /** null: nothing is asked of the shelf */
  readonly shelf: KnownShelf | null;
}

/** A site that has nothing yet. */
export const NOTHING_KNOWN: KnownNames = {
  tags: new Set(),
  seasons: new Set(),
  books: new Map(),
  shelf: null,
};

/** A file beside what is there: books that are there count as they are there. */
interface Beside extends KnownNames {
  readonly now: number;
}

function keys(names: readonly { readonly name: string }[]): Set<string> {
  return new Set(names.map(({ name }) => nameKey(name)));
}

function repeated(
  names: readonly string[],
  pointer: (index: number) => string,
  words: (name: string) => string,
): FieldFaultDto[] {
  return repeatedNames(names).map((index) => fault(pointer(index), 'repeated', words(names[index] ?? '')));
}

function readingWords({ shown, fault: own }: PlacedFault): string {
  if (own.code === 'negative') return 'With its meter this reading is less than no hours.';
  if (own.code === 'future') return `${shown} h were read in time to come. Give the day it was read.`;
  return faultWords(own);
}

/** Two meters that begin at one moment, and readings that cannot be. */
function meterFaults(
  { readings = [], segments = [] }: FileAttachmentDto | FileMachineDto,
  path: string,
  { now }: Beside,
): FieldFaultDto[] {
  const starts = segments.map(({ startsAt }: FileSegmentDto) => instant(startsAt));
  const twice = starts.flatMap((startsAt, index) =>
    starts.indexOf(startsAt) < index
      ? [
          fault(
            `${path}/segments/${index}/startsAt`,
            'repeated',
            'Two meters begin at that moment. Keep one, or give the moment of the change.',
          ),
        ]
      : [],
  );
  if (twice.length) return twice;
  const own = segments.length
    ? segments.map(({ startsAt, offset }) => ({ startsAt: instant(startsAt), offset }))
    : [{ startsAt: instant('1970-01-01T00:00:00Z'), offset: 0 }];
  const read = readings.map(({ at, shown }) => ({ at: instant(at), shown }));
  return sequenceFaults(read, own, now).map((each) =>
    fault(`${path}/readings/${each.place}/shown`, each.fault.code, readingWords(each)),
  );
}

/** What a machine has each of once. */
function onceFaults(machine: FileMachineDto, path: string): FieldFaultDto[] {
  return [
    ...repeated(
      machine.books,
      (index) => `${path}/books/${index}`,
      (name) => `It follows "${name}" twice. Keep one.`,
    ),
    ...repeated(
      machine.seasons.map(({ season }) => season),
      (index) => `${path}/seasons/${index}/season`,
      (name) => `It stands in "${name}" twice. Keep one line.`,
    ),
    ...repeated(
      machine.attachments.map(({ kind }) => kind),
      (index) => `${path}/attachments/${index}/kind`,
      (kind) => `A machine has one ${kind}. Keep one.`,
    ),
    ...repeated(
      machine.overrides.map(({ book, item }) => `${book}\n${item}`),
      (index) => `${path}/overrides/${index}/item`,
      () => 'It departs from this line twice. Keep one.',
    ),
  ];
}

function unknownFaults(machine: FileMachineDto, path: string, known: Beside): FieldFaultDto[] {
  const books = machine.books.flatMap((name, index) =>
    known.books.has(nameKey(name))
      ? []
      : [
          fault(
            `${path}/books/${index}`,
            'unknown',
            `There is no book "${name}", neither in the file nor here.`,
          ),
        ],
  );
  const seasons = machine.seasons.flatMap(({ season }, index) =>
    known.seasons.has(nameKey(season))
      ? []
      : [
          fault(
            `${path}/seasons/${index}/season`,
            'unknown',
            `There is no season "${season}", neither in the file nor here.`,
          ),
        ],
  );
  const own = keys(machine.items ?? []);
  const lines = (['overrides', 'done', 'declared', 'judged'] as const).flatMap((part) =>
    (machine[part] ?? []).flatMap(({ book, item }, index) => {
      const names = book === OWN_ITEMS ? own : known.books.get(nameKey(book));
      if (names?.has(nameKey(item))) return [];
      const none =
        book === OWN_ITEMS
          ? `The machine has no item "${item}" of its own.`
          : `The book "${book}" has no line "${item}".`;
      return [fault(`${path}/${part}/${index}/item`, 'unknown', none)];
    }),
  );
  return [...books, ...seasons, ...lines];
}

function machineFaults(machine: FileMachineDto, path: string, known: Beside): FieldFaultDto[] {
  const { tag } = machine;
  const isTaken = known.tags.has(nameKey(tag));
  const taken = `${tag} is in the fleet already. Take it out of the file, or give another tag.`;
  return [
    ...(isTaken ? [fault(`${path}/tag`, 'taken', taken)] : []),
    ...unknownFaults(machine, path, known),
    ...onceFaults(machine, path),
    ...lineFaults({ items: machine.items ?? [] }, path),
    ...(machine.spec ? specFaults(machine.spec, `${path}/spec`) : []),
    ...meterFaults(machine, path, known),
    ...machine.attachments.flatMap((attachment, index) =>
      meterFaults(attachment, `${path}/attachments/${index}`, known),
    ),
  ];
}

/**
 * All that is wrong with a file besides what its fields say by themselves, at the instant `now` (milliseconds); pointers are those of
 * the file under `path`.
 */
export function fileFaults(
  file: FleetFileDto,
  known: KnownNames,
  now: number,
  path = '/file',
): FieldFaultDto[] {
  const beside: Beside = {
    now,
    tags: known.tags,
    shelf: known.shelf,
    seasons: new Set([...known.seasons, ...keys(file.seasons)]),
    // A book that is here already counts as it is here.
    books: new Map([
      ...file.books.map((book) => [nameKey(book.name), keys(book.items)] as const),
      ...known.books,
    ]),
  };
  return [
    ...repeated(
      file.machines.map(({ tag }) => tag),
      (index) => `${path}/machines/${index}/tag`,
      (tag) => `The tag "${tag}" stands in the file twice.`,
    ),
    ...repeated(
      file.books.map(({ name }) => name),
      (index) => `${path}/books/${index}/name`,
      (name) => `The book "${name}" stands in the file twice.`,
    ),
    ...file.books.flatMap((book, index) => lineFaults(book, `${path}/books/${index}`)),
    ...seasonFaults(file.seasons, `${path}/seasons`),
    ...file.machines.flatMap((machine, index) => machineFaults(machine, `${path}/machines/${index}`, beside)),
    ...(known.shelf ? shelfFaults(file, known.shelf, now, path) : []),
  ];
}
