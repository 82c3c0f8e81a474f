import type { FieldFaultDto, FileAttachmentDto, FileMachineDto, FleetFileDto } from '@yugator/contracts';
import { instant, OWN_ITEMS, segmentAt, toLife } from '@yugator/core';
import { lineFaults } from '../books/lineFaults.js';
import { specFaults } from '../machine/specFaults.js';
import { fault } from '../problem/problem.js';

/** What the machines of a file may refer to: what the file brings, and what the site has. */
export interface KnownNames {
  readonly tags: ReadonlySet<string>;
  readonly seasons: ReadonlySet<string>;
  /** by book: the names of its lines */
  readonly books: ReadonlyMap<string, ReadonlySet<string>>;
}

function repeated(
  names: readonly string[],
  pointer: (index: number) => string,
  what: string,
): FieldFaultDto[] {
  const first = new Map(names.map((name, index) => [name, index] as const).reverse());
  return names.flatMap((name, index) =>
    (first.get(name) ?? index) < index
      ? [fault(pointer(index), 'repeated', `${what} "${name}" stands in the file twice.`)]
      : [],
  );
}

/** Readings of a meter that run backwards in life hours. */
function readingFaults(
  { readings = [], segments = [] }: FileAttachmentDto | FileMachineDto,
  path: string,
): FieldFaultDto[] {
  const own = segments.length
    ? segments.map(({ startsAt, offset }) => ({ startsAt: instant(startsAt), offset }))
    : [{ startsAt: instant('1970-01-01T00:00:00Z'), offset: 0 }];
  const negative = readings.flatMap(({ at, shown }, index) =>
    segmentAt(own, instant(at)).offset + shown < 0
      ? [
          fault(
            `${path}/readings/${index}/shown`,
            'negative',
            'With its meter this reading is less than no hours.',
          ),
        ]
      : [],
  );
  if (negative.length) return negative;
  const lives = toLife(
    readings.map(({ at, shown }) => ({ at: instant(at), shown })),
    own,
  );
  return lives.flatMap((reading, index) => {
    const before = lives[index - 1];
    if (!before || reading.life >= before.life) return [];
    const place = readings.findIndex(
      ({ at, shown }) => instant(at) === reading.at && shown === reading.shown,
    );
    return [
      fault(
        `${path}/readings/${place}/shown`,
        'backwards',
        `${reading.shown} h is less than the ${before.shown} h read before.`,
      ),
    ];
  });
}

function machineFaults(machine: FileMachineDto, path: string, known: KnownNames): FieldFaultDto[] {
  const faults: FieldFaultDto[] = [];
  if (known.tags.has(machine.tag)) {
    faults.push(
      fault(
        `${path}/tag`,
        'taken',
        `${machine.tag} is in the fleet already. Take it out of the file, or give another tag.`,
      ),
    );
  }
  machine.books.forEach((name, index) => {
    if (!known.books.has(name)) {
      faults.push(
        fault(
          `${path}/books/${index}`,
          'unknown',
          `There is no book "${name}", neither in the file nor here.`,
        ),
      );
    }
  });
  machine.seasons.forEach(({ season }, index) => {
    if (!known.seasons.has(season)) {
      faults.push(
        fault(
          `${path}/seasons/${index}/season`,
          'unknown',
          `There is no season "${season}", neither in the file nor here.`,
        ),
      );
    }
  });
  const own = new Set((machine.items ?? []).map(({ name }) => name));
  faults.push(...lineFaults({ items: machine.items ?? [] }, path));
  for (const part of ['overrides', 'done', 'declared', 'judged'] as const) {
    (machine[part] ?? []).forEach(({ book, item }, index) => {
      const names = book === OWN_ITEMS ? own : known.books.get(book);
      if (names?.has(item)) return;
      const none =
        book === OWN_ITEMS
          ? `The machine has no item "${item}" of its own.`
          : `The book "${book}" has no line "${item}".`;
      faults.push(fault(`${path}/${part}/${index}/item`, 'unknown', none));
    });
  }
  const specs = machine.spec ? specFaults(machine.spec, `${path}/spec`) : [];
  const attached = machine.attachments.flatMap((attachment, index) =>
    readingFaults(attachment, `${path}/attachments/${index}`),
  );
  return [...faults, ...specs, ...readingFaults(machine, path), ...attached];
}

/** All that is wrong with a file besides what its fields say by themselves. */
export function fileFaults(file: FleetFileDto, known: KnownNames): FieldFaultDto[] {
  return [
    ...repeated(
      file.machines.map(({ tag }) => tag),
      (index) => `/file/machines/${index}/tag`,
      'The tag',
    ),
    ...repeated(
      file.books.map(({ name }) => name),
      (index) => `/file/books/${index}/name`,
      'The book',
    ),
    ...repeated(
      file.seasons.map(({ name }) => name),
      (index) => `/file/seasons/${index}/name`,
      'The season',
    ),
    ...file.machines.flatMap((machine, index) => machineFaults(machine, `/file/machines/${index}`, known)),
  ];
}
