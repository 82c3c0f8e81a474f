import type { CountLineDto } from '@yugator/contracts';
import { byPlaces, stockWords } from '@yugator/core';
import type { UnitSystem } from '@yugator/core';
import type { Content, TableCell } from 'pdfmake/interfaces.js';

const HEADS: TableCell[] = ['Article', 'Number', 'Full ones', 'Open, or loose'].map((text) => ({
  text,
  bold: true,
}));
/** Room to write in. */
const ROOM: TableCell = { text: ' ', margin: [0, 3] };

function rowOf({ name, number, unit, sizes }: CountLineDto, units: UnitSystem): TableCell[] {
  const full = sizes.map((size) => `____ × ${stockWords(size, unit, units)}`).join('   ');
  const one = unit === 'litre' ? (units === 'us' ? 'qt' : 'L') : '';
  return [name, number, full || ROOM, { text: `________ ${one}`, margin: [0, 3] }];
}

/** A sheet to count the shelf with, place by place. What the book says does not stand on it: what lies there counts. */
export function countPaper(lines: readonly CountLineDto[], on: string, units: UnitSystem): Content[] {
  return [
    { text: 'Count of the shelf', style: 'title' },
    {
      text: `Printed ${on}. Counted on ____________ by ______________________. Write what lies there, and type it under Shelf, Count the shelf, place by place.`,
      margin: [0, 0, 0, 6],
    },
    ...byPlaces(lines).map(({ place, articles }): Content => ({
      stack: [
        { text: place || 'Without a place', style: 'head' },
        {
          layout: 'lightHorizontalLines',
          table: {
            headerRows: 1,
            widths: ['*', 70, 120, 90],
            body: [HEADS, ...articles.map((line) => rowOf(line, units))],
          },
        },
      ],
    })),
  ];
}
