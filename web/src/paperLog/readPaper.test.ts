import { readPaper } from './readPaper.js';

const LINES = [
  { itemId: 'oil', itemName: 'Engine oil and filter' },
  { itemId: 'air', itemName: 'Air filter: replace' },
];
const read = (text: string) => readPaper(text, LINES, 'dayFirst');

describe('rows of paper from a spreadsheet', () => {
  it('are day, hours, lines and note; what names the columns is passed over', () => {
    const rows = read(
      'Date\tHours\tLines\tNote\n12/5/2026\t212,4\tengine oil and filter; Air filter: replace\tGreen book\n2026-08-01\t250\tAir filter: replace',
    );
    expect(rows).toEqual([
      {
        number: 2,
        text: expect.any(String),
        row: { day: '12/5/2026', hours: '212,4', itemIds: ['oil', 'air'], note: 'Green book' },
      },
      {
        number: 3,
        text: expect.any(String),
        row: { day: '2026-08-01', hours: '250', itemIds: ['air'], note: '' },
      },
    ]);
  });

  it.each([
    ['31/2/2026\t212\tAir filter: replace', '"31/2/2026" is no day.'],
    ['1/2/2026\tmany\tAir filter: replace', '"many" is no figure of hours.'],
    ['1/2/2026\t212\tAir filter', 'The machine has no line called "Air filter".'],
    ['1/2/2026\t212\t ; ', 'No line is named.'],
  ])('that cannot be read say why: %s', (text, fault) => {
    expect(read(`1/1/2026\t200\tAir filter: replace\n${text}`)[1]).toMatchObject({ fault });
  });
});
