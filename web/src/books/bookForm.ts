import { checkBody, CreateBookDto, lineFaults } from '@yugator/contracts';
import type { BookFieldsDto, FieldFaultDto } from '@yugator/contracts';
import type { FieldErrors, UseFormReturn } from 'react-hook-form';
import type { Reading } from '../form/readResolver.js';
import { fieldsOf } from './bookDraft.js';
import type { BookDraft } from './bookDraft.js';

export type BookForm = UseFormReturn<BookDraft, unknown, BookFieldsDto>;

/** `#/items/3/minutes` as the form names it. What stands at no line and is not the name is said of the book as a whole. */
function nameOf(pointer: string): string {
  const [, line, field] = /^#\/items\/(\d+)(?:\/(\w+))?/.exec(pointer) ?? [];
  if (line !== undefined) return `lines.${line}.${field ?? 'name'}`;
  return pointer === '#/name' ? 'name' : 'root';
}

/** Faults by the names of their fields; several at one field in a row. */
export function namedFaults(faults: readonly FieldFaultDto[]): Record<string, string> {
  const named: Record<string, string> = {};
  for (const { pointer, detail } of faults) {
    const name = nameOf(pointer);
    named[name] = [named[name], detail].filter(Boolean).join(' ');
  }
  return named;
}

/** A book as it is sent, checked as the server checks it. */
export function readBook(draft: BookDraft): Reading<BookFieldsDto> {
  const fields = fieldsOf(draft);
  // As it goes over the wire: what is no figure arrives as none.
  const sent: unknown = JSON.parse(JSON.stringify(fields));
  const faults = checkBody(CreateBookDto, sent).faults ?? lineFaults(fields, '');
  return faults.length ? { faults: namedFaults(faults) } : { value: fields };
}

/** The sentences at the lines, by the place of each: a line says all that is wrong with it. */
export function lineSentences({ lines }: FieldErrors<BookDraft>): ReadonlyMap<number, string> {
  const sentences = new Map<number, string>();
  for (const [place, faults] of Object.entries(lines ?? {})) {
    const words = Object.values(faults ?? {}).flatMap((fault) =>
      typeof fault === 'object' && 'message' in fault && fault.message ? [fault.message] : [],
    );
    if (words.length) sentences.set(Number(place), words.join(' '));
  }
  return sentences;
}
