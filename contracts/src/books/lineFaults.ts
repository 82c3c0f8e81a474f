import { otherItemOf, repeatedNames } from '@yugator/core';
import { fault } from '../problem/fault.js';
import type { FieldFaultDto } from '../problem/problem.dto.js';
import type { BookFieldsDto } from './book.dto.js';

/** What is wrong with the lines of a book beside each other. */
export function lineFaults({ items }: Pick<BookFieldsDto, 'items'>, path: string): FieldFaultDto[] {
  const names = items.map(({ name }) => name);
  const repeated = new Set(repeatedNames(names));
  return items.flatMap((line, index) => {
    const pointer = `${path}/items/${index}`;
    const faults: FieldFaultDto[] = [];
    if (repeated.has(index)) {
      faults.push(
        fault(`${pointer}/name`, 'repeated', `"${line.name}" stands in this book twice. Name one otherwise.`),
      );
    }
    for (const trigger of line.triggers) {
      const other = otherItemOf(trigger);
      if (other !== null && (!names.includes(other) || other === line.name)) {
        faults.push(
          fault(
            `${pointer}/triggers`,
            'unknownLine',
            `"${line.name}" goes with another line of this book. Choose which.`,
          ),
        );
      }
    }
    const unknown = line.renews.find((other) => !names.includes(other));
    if (unknown !== undefined) {
      faults.push(
        fault(`${pointer}/renews`, 'unknownLine', `There is no line "${unknown}" in this book to renew.`),
      );
    }
    return faults;
  });
}
