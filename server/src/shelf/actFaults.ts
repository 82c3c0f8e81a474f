import type { FieldFaultDto, StockActDto } from '@yugator/contracts';
import { fillsContainers, goesOut } from '@yugator/core';
import type { Article } from '../models/shelf.model.js';
import { fault } from '../problem/problem.js';

const NOTHING: Record<Exclude<StockActDto['kind'], 'counted'>, string> = {
  received: 'Type how much came in, more than 0.',
  returned: 'Type how much came back, more than 0.',
  scrapped: 'Type how much is thrown away, more than 0.',
  lent: 'Type how much is lent, more than 0.',
};

const NOT_SAID = {
  scrapped: 'Say why it is thrown away.',
  lent: 'Say to whom it is lent.',
} as const;

function outFaults({ kind, quantity, note = '' }: StockActDto, booked: number): FieldFaultDto[] {
  if (!goesOut(kind)) return [];
  const faults: FieldFaultDto[] = [];
  if (quantity > booked) {
    const detail = 'The book says that less is there. Count it first, then say what went away.';
    faults.push(fault('/quantity', 'moreThanThere', detail));
  }
  if (note.trim().length < 3) faults.push(fault('/note', 'notSaid', NOT_SAID[kind]));
  return faults;
}

/** What speaks against an act at the shelf; `booked`: what the book says is there. */
export function actFaults(fields: StockActDto, article: Article, booked: number): FieldFaultDto[] {
  const { kind, quantity, container = null, priceMinor = null } = fields;
  if (kind !== 'counted' && quantity === 0) return [fault('/quantity', 'nothing', NOTHING[kind])];
  // Half a kit may have been left before kits were opened whole.
  if (article.unit === 'piece' && article.kind !== 'kit' && !Number.isInteger(quantity))
    return [fault('/quantity', 'notWhole', 'Pieces are whole: type a whole number.')];
  const faults = outFaults(fields, booked);
  if (kind !== 'received' && (container !== null || priceMinor !== null))
    faults.push(fault('/kind', 'notReceived', 'Only what came in has containers and a price.'));
  if (container !== null && !fillsContainers(quantity, container))
    faults.push(
      fault('/container', 'notWhole', 'So much does not fill whole containers of this size. Check both.'),
    );
  return faults;
}
