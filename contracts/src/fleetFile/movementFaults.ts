import { ledgerFaults } from '@yugator/core';
import type { LedgerFault } from '@yugator/core';
import { fault } from '../problem/fault.js';
import type { FieldFaultDto } from '../problem/problem.dto.js';
import type { FileArticleDto } from './fileShelf.dto.js';

const ADDS_UP: Record<LedgerFault['code'], { readonly field: string; readonly detail: string }> = {
  nothing: { field: 'quantity', detail: 'Nothing moved. Take the movement out.' },
  takes: { field: 'takes', detail: 'What it took of lots does not add up to how much went out.' },
  value: { field: 'valueMinor', detail: 'It is not worth what its parts cost.' },
  noLot: { field: 'takes', detail: 'It took of a movement by which nothing came in.' },
  overdrawn: { field: 'quantity', detail: 'More was taken of it, or at another worth, than came in.' },
  moved: { field: 'kind', detail: 'What is taken to another shed goes out of one and into the other.' },
};

/** What is wrong with the movements of an article in a file, by itself and against each other. */
export function movementFaults(
  { kind, unit, lots, movements = [] }: FileArticleDto,
  now: number,
  path: string,
): FieldFaultDto[] {
  const at = (index: number, field: string) => `${path}/movements/${index}/${field}`;
  const isBoth = lots.length > 0 && movements.length > 0;
  return [
    ...(isBoth
      ? [fault(`${path}/lots`, 'twice', 'What lies there follows from the movements already.')]
      : []),
    ...movements.flatMap((movement, index) => [
      ...(Date.parse(movement.at) > now ? [fault(at(index, 'at'), 'future', 'It is still to come.')] : []),
      // Half a kit may have been left before kits were opened whole.
      ...(unit === 'piece' && kind !== 'kit' && !Number.isInteger(movement.quantity)
        ? [fault(at(index, 'quantity'), 'notWhole', 'Pieces are whole: give a whole number.')]
        : []),
    ]),
    ...ledgerFaults(movements).map(({ at: index, code }) => {
      const { field, detail } = ADDS_UP[code];
      return fault(index === null ? `${path}/movements` : at(index, field), code, detail);
    }),
  ];
}
