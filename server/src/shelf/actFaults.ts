import type { FieldFaultDto, StockActDto } from '@yugator/contracts';
import { fillsContainers, goesOut } from '@yugator/core';
import type { Article } from '../models/shelf.model.js';
import { fault } from '../problem/problem.js';
import { shedFaults, unsaidFaults } from './shedStocks.js';
import type { ShedStocks } from './shedStocks.js';

const NOTHING: Record<Exclude<StockActDto['kind'], 'counted'>, string> = {
  received: 'Type how much came in, more than 0.',
  returned: 'Type how much came back, more than 0.',
  scrapped: 'Type how much is thrown away, more than 0.',
  lent: 'Type how much is lent, more than 0.',
  moved: 'Type how much is moved, more than 0.',
};

const NOT_SAID = {
  scrapped: 'Say why it is thrown away.',
  lent: 'Say to whom it is lent.',
} as const;

/** What speaks against the sheds of an act. */
function whereFaults(
  { kind, shed, toShed }: StockActDto,
  names: readonly string[],
  isAnyUnsaid: boolean,
): FieldFaultDto[] {
  const faults = [
    ...unsaidFaults(shed, names, isAnyUnsaid),
    ...shedFaults(shed, names),
    ...shedFaults(toShed, names, '/toShed'),
  ];
  if (kind === 'moved' && !toShed)
    faults.push(fault('/toShed', 'notSaid', 'Choose the shed it is taken to.'));
  if (kind === 'moved' && toShed && toShed === shed)
    faults.push(fault('/toShed', 'itself', 'It lies in this shed already. Choose another.'));
  if (kind !== 'moved' && toShed)
    faults.push(fault('/toShed', 'notMoved', 'Only what is moved goes to another shed.'));
  return faults;
}

function outFaults({ kind, quantity, note = '' }: StockActDto, booked: number): FieldFaultDto[] {
  if (!goesOut(kind) && kind !== 'moved') return [];
  const faults: FieldFaultDto[] = [];
  if (quantity > booked) {
    const detail = 'The book says that less is there. Count it first, then say what went away.';
    faults.push(fault('/quantity', 'moreThanThere', detail));
  }
  if (kind !== 'moved' && note.trim().length < 3) faults.push(fault('/note', 'notSaid', NOT_SAID[kind]));
  return faults;
}

/** What speaks against an act at the shelf, by what the book says is in which shed. */
export function actFaults(fields: StockActDto, article: Article, sheds: ShedStocks): FieldFaultDto[] {
  const booked = sheds.onHand(article.id, fields.shed || null);
  const isUnsaid = sheds.onHand(article.id, null) !== 0;
  const { kind, quantity, container = null, priceMinor = null } = fields;
  if (kind !== 'counted' && quantity === 0) return [fault('/quantity', 'nothing', NOTHING[kind])];
  // Half a kit may have been left before kits were opened whole.
  if (article.unit === 'piece' && article.kind !== 'kit' && !Number.isInteger(quantity))
    return [fault('/quantity', 'notWhole', 'Pieces are whole: type a whole number.')];
  const faults = [...outFaults(fields, booked), ...whereFaults(fields, sheds.names, isUnsaid)];
  if (kind !== 'received' && (container !== null || priceMinor !== null))
    faults.push(fault('/kind', 'notReceived', 'Only what came in has containers and a price.'));
  if (container !== null && !fillsContainers(quantity, container))
    faults.push(
      fault('/container', 'notWhole', 'So much does not fill whole containers of this size. Check both.'),
    );
  return faults;
}
