import { checkBody, CreateBookDto, FILE_VERSION, FILE_VERSIONS } from '@yugator/contracts';
import type { BookDto, FieldFaultDto } from '@yugator/contracts';
import { isRecord } from '@yugator/core';
import { readCsv } from './bookCsv.js';
import { draftOf, fieldsOf } from './bookDraft.js';
import type { BookDraft, BookRead } from './bookDraft.js';

/** The book as its file (docs/book.schema.json). */
export function bookFile(draft: BookDraft): string {
  const { items, ...fields } = fieldsOf(draft);
  const lines = items.map(({ id: _id, ...line }) => line);
  return `${JSON.stringify({ format: 'yugator-book', version: FILE_VERSION, ...fields, items: lines }, null, 2)}\n`;
}

/** A fault with its place, lines counted from 1: "items/2/minutes: Give the minutes as a whole number." */
function sentenceAt({ pointer, detail }: FieldFaultDto): string {
  const place = pointer
    .replace(/^#?\//, '')
    .replace(/(^|\/)(\d+)(?=\/|$)/g, (_all, before: string, at: string) => {
      return `${before}${Number(at) + 1}`;
    });
  return `${place}: ${detail}`;
}

function readJson(text: string): BookRead {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch (error) {
    return { faults: [`This is no JSON: ${error instanceof Error ? error.message : 'it cannot be read'}.`] };
  }
  const { format, version, ...fields } = isRecord(value) ? value : {};
  if (format !== 'yugator-book')
    return { faults: ['This is no book file: its format must be "yugator-book".'] };
  if (!FILE_VERSIONS.some((known) => known === version)) {
    return {
      faults: [`This file is of another version. This Yugator reads ${FILE_VERSIONS.join(' and ')}.`],
    };
  }
  const { value: book, faults } = checkBody(CreateBookDto, fields);
  if (faults) return { faults: faults.map(sentenceAt) };
  const items = book.items.map((item, index) => ({ ...item, id: `read-${index}` }));
  const draft = draftOf({ ...book, items, id: '', version: 0, machines: [] } satisfies BookDto);
  return { draft: { ...draft, lines: draft.lines.map((line) => ({ ...line, id: null })) } };
}

/** The book in a file: JSON whole, or CSV for the grid of the book that is open. Nothing of a file with faults is taken. */
export function readBookFile(name: string, text: string, open: BookDraft): BookRead {
  return name.toLowerCase().endsWith('.csv') ? readCsv(text, open) : readJson(text);
}
