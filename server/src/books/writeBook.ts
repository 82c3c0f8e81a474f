import type { BookFieldsDto, BookItemFieldsDto } from '@yugator/contracts';
import { lineComponents, withOtherItem } from '@yugator/core';
import { v7 as uuid } from 'uuid';
import { Book, Item } from '../models/book.model.js';

/** The columns of a line, with the names of other lines replaced by their ids. */
function columnsOf(line: BookItemFieldsDto, place: number, idOf: ReadonlyMap<string, string>) {
  const { name, action, minutes, reference, note } = line;
  return {
    name,
    action,
    ...lineComponents(line),
    minutes,
    reference,
    note,
    place,
    dropped: false,
    windowHours: line.windowHours ?? null,
    windowDays: line.windowDays ?? null,
    consequence: line.consequence ?? null,
    doneIn: line.doneIn ?? null,
    triggers: line.triggers.map((trigger) => withOtherItem(trigger, (name) => idOf.get(name) ?? '')),
    renews: line.renews.flatMap((other) => idOf.get(other) ?? []),
  };
}

const LONGEST_NAME = 80;
const FORMER = ' (former)';

/** Takes a line out of its book. Records go on naming it, with a mark where another line took over its name. */
async function drop(row: Item, isNameTaken: boolean): Promise<void> {
  const name = isNameTaken ? `${row.name.slice(0, LONGEST_NAME - FORMER.length)}${FORMER}` : row.name;
  await row.update({ dropped: true, name });
}

/** A book, or a machine with items of its own. */
export type LineOwner = { readonly bookId: string } | { readonly machineId: string };

/**
 * Writes the lines of a book, or of a machine, inside the running unit of work. A line keeps its id by the id given, else by its name; lines that
 * are no longer there are dropped, but stay for the records that name them.
 */
export async function writeLines(owner: LineOwner, items: readonly BookItemFieldsDto[]): Promise<void> {
  const before = await Item.findAll({ where: { ...owner } });
  const known = (line: BookItemFieldsDto) =>
    before.find(({ id }) => id === line.id) ?? before.find(({ name }) => name === line.name);
  const lines = items.map((line) => ({
    line,
    row: known(line) ?? null,
    id: known(line)?.id ?? uuid(),
  }));
  const idOf = new Map(lines.map(({ line, id }) => [line.name, id]));
  for (const row of before) {
    const line = lines.find(({ id }) => id === row.id)?.line;
    if (!line) await drop(row, idOf.has(row.name));
    // Two lines may change names; for a moment neither has one.
    else if (line.name !== row.name) await row.update({ name: row.id });
  }
  for (const [place, { line, row, id }] of lines.entries()) {
    const columns = columnsOf(line, place, idOf);
    if (row) await row.update(columns);
    else await Item.create({ id, ...owner, ...columns });
  }
}

/** Writes a new book inside the running unit of work. */
export async function writeNewBook(fields: BookFieldsDto): Promise<string> {
  const { name, machineClass, meter } = fields;
  const { id } = await Book.create({ id: uuid(), name, machineClass, meter, version: 1 });
  await writeLines({ bookId: id }, fields.items);
  return id;
}
