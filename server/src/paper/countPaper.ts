import type { CountLineDto, CountPartDto } from '@yugator/contracts';
import { byPlaces, stockWords } from '@yugator/core';
import type { UnitSystem } from '@yugator/core';
import type { Content, TableCell } from 'pdfmake/interfaces.js';

// Cells are made anew for each row: what lays out the paper writes into them.
const heads = (): TableCell[] =>
  ['Article', 'Number', 'Full ones', 'Open, or loose'].map((text) => ({ text, bold: true }));
/** Room to write in. */
const room = (): TableCell => ({ text: ' ', margin: [0, 3] });

function rowOf({ name, number, unit, sizes }: CountLineDto, units: UnitSystem): TableCell[] {
  const full = sizes.map((size) => `____ × ${stockWords(size, unit, units)}`).join('   ');
  const one = unit === 'litre' ? (units === 'us' ? 'qt' : 'L') : '';
  return [name, number, full || room(), { text: `________ ${one}`, margin: [0, 3] }];
}

/** Rows for what is found in a shed where the book does not have it. */
const FOUND_BESIDES = 6;

function tableOf(title: string, rows: TableCell[][]): Content {
  return {
    stack: [
      { text: title, style: 'head' },
      {
        layout: 'lightHorizontalLines',
        table: { headerRows: 1, widths: ['*', 70, 120, 90], body: [heads(), ...rows] },
      },
    ],
  };
}

function partPaper({ shed, lines }: CountPartDto, at: number, on: string, units: UnitSystem): Content[] {
  const besides = Array.from({ length: FOUND_BESIDES }, () => [room(), room(), room(), room()]);
  const where = shed === null ? '' : `. In which shed: ${shed}`;
  return [
    {
      text: shed === null ? 'Count of the shelf' : `Count of the shelf: ${shed}`,
      style: 'title',
      pageBreak: at > 0 ? 'before' : undefined,
    },
    {
      text: `Printed ${on}. Counted on ____________ by ______________________. Write what lies there, and type it under Shelf, Count the shelf, place by place${where}.`,
      margin: [0, 0, 0, 6],
    },
    ...byPlaces(lines).map(({ place, articles }) =>
      tableOf(
        place || 'Without a place',
        articles.map((line) => rowOf(line, units)),
      ),
    ),
    ...(shed === null ? [] : [tableOf('Found here besides', besides)]),
  ];
}

/** Sheets to count the shelf with, each of a shed of its own, place by place. What the book says does not stand on it: what lies there counts. */
export function countPaper(parts: readonly CountPartDto[], on: string, units: UnitSystem): Content[] {
  return parts.flatMap((part, at) => partPaper(part, at, on, units));
}
