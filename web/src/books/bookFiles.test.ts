import type { BookDto } from '@yugator/contracts';
import {
  draftOf,
  emptyBook,
  fieldsOf,
  nextMark,
  parseColumn,
  withColumn,
  withoutColumn,
} from './bookDraft.js';
import { bookFile, csvOf, readBookFile } from './bookFiles.js';

const item = (name: string, triggers: BookDto['items'][number]['triggers']): BookDto['items'][number] => ({
  id: name,
  name,
  action: 'replace',
  component: name.toLowerCase(),
  triggers,
  renews: [],
  minutes: 30,
  reference: 'p. 31',
  note: 'with "care", always',
  windowHours: null,
  windowDays: null,
});
const BOOK: BookDto = {
  id: 'b',
  name: 'Verrick',
  machineClass: 'zeroTurn',
  meter: 'engine',
  version: 3,
  machines: ['M-07'],
  items: [
    item('Oil', [
      { kind: 'firstHours', hours: 5, meter: 'engine' },
      { kind: 'everyHours', hours: 50, meter: 'engine', grid: null },
      { kind: 'everyCalendar', count: 12, unit: 'month', inUse: null },
    ]),
    item('Filter', [{ kind: 'everyNth', n: 2, itemId: 'Oil', everyTimeAboveHours: 100 }]),
    item('Grease', [
      { kind: 'everyHours', hours: 10, meter: 'engine', grid: null },
      { kind: 'storage', days: 30 },
    ]),
  ],
};
const triggers = (book: Pick<BookDto, 'items'>) => book.items.map(({ name, triggers: own }) => [name, own]);

describe('a book as a chart', () => {
  it('has a column for each hours and date, and keeps beside it what no cell holds', () => {
    const { columns, lines } = draftOf(BOOK);
    expect(columns).toEqual([
      { kind: 'hours', hours: 5 },
      { kind: 'hours', hours: 10 },
      { kind: 'hours', hours: 50 },
      { kind: 'calendar', count: 12, unit: 'month' },
    ]);
    expect(lines.map(({ marks }) => marks)).toEqual([
      ['first', null, 'every', 'every'],
      [null, null, null, null],
      [null, 'every', null, null],
    ]);
    expect(lines.map(({ others }) => others.map(({ kind }) => kind))).toEqual([
      [],
      ['everyNth'],
      ['storage'],
    ]);
  });

  it('means the same when it is saved as it was opened', () => {
    expect(triggers({ ...BOOK, items: fieldsOf(draftOf(BOOK)).items as BookDto['items'] })).toEqual(
      triggers(BOOK),
    );
  });

  it.each([
    ['50', { kind: 'hours', hours: 50 }],
    ['7,5 h', { kind: 'hours', hours: 7.5 }],
    ['1 y', { kind: 'calendar', count: 12, unit: 'month' }],
    ['2 weeks', { kind: 'calendar', count: 14, unit: 'day' }],
    ['6m', { kind: 'calendar', count: 6, unit: 'month' }],
    ['0', null],
    ['soon', null],
    ['1.5 y', null],
  ])('takes "%s" as a column', (text, column) => {
    expect(parseColumn(text)).toEqual(column);
  });

  it('takes a column in at its place, once, and out with its marks', () => {
    const draft = draftOf(BOOK);
    const wider = withColumn(draft, { kind: 'hours', hours: 25 });
    expect(wider.columns[2]).toEqual({ kind: 'hours', hours: 25 });
    expect(wider.lines[0]?.marks).toEqual(['first', null, null, 'every', 'every']);
    expect(withColumn(wider, { kind: 'hours', hours: 25 })).toBe(wider);
    expect(withoutColumn(wider, 2)).toEqual(draft);
    expect([null, 'every', 'first'].map((mark) => nextMark(mark as never))).toEqual(['every', 'first', null]);
  });
});

describe('the files of a book', () => {
  it('come back whole from JSON', () => {
    const read = readBookFile('book.json', bookFile(draftOf(BOOK)), emptyBook());
    if (!('draft' in read)) throw new Error(read.faults.join());
    expect(triggers({ items: fieldsOf(read.draft).items as BookDto['items'] })).toEqual(triggers(BOOK));
    expect(read.draft.lines.every(({ id }) => id === null)).toBe(true);
  });

  it('come back with every mark from CSV', () => {
    const plain = { ...BOOK, items: BOOK.items.filter(({ name }) => name === 'Oil') };
    const csv = csvOf(draftOf(plain));
    expect(csv.split('\r\n')[0]).toBe('line,action,component,minutes,reference,note,5 h,50 h,12 m');
    const read = readBookFile('book.csv', csv, { ...emptyBook(), name: 'Mine' });
    if (!('draft' in read)) throw new Error(read.faults.join());
    expect(read.draft.name).toBe('Mine');
    expect(fieldsOf(read.draft).items[0]).toMatchObject({
      note: 'with "care", always',
      triggers: plain.items[0]?.triggers,
    });
  });

  it('name every fault of a CSV file with its line, and bring nothing', () => {
    const csv = [
      'line,action,component,minutes,reference,note,50 h,1 y',
      'Oil,replace,engine oil,30,,,every,',
      ',polish,,soon,,,often,',
      'Filter,replace,filter,5,,,,',
    ].join('\n');
    expect(readBookFile('book.csv', csv, emptyBook())).toEqual({
      faults: [
        'Line 3: the name is missing.',
        'Line 3: "polish" is no action; write replace, clean, inspect, grease, sharpen, adjust, tighten, charge.',
        'Line 3: the component is missing.',
        'Line 3: "soon" is no whole number of minutes.',
        'Line 3, 50 h: "often" is neither every nor first.',
        'Line 4: no column is marked, so it would never be due.',
      ],
    });
    expect(readBookFile('book.csv', 'name,hours\nOil,50', emptyBook())).toEqual({
      faults: ['Line 1: the columns must begin with line,action,component,minutes,reference,note.'],
    });
    expect(readBookFile('x.csv', 'line,action,component,minutes,reference,note,often', emptyBook())).toEqual({
      faults: ['Line 1: "often" is no column; write 50 h, 7 d, 6 m or 1 y.'],
    });
  });

  it('name every fault of a JSON file with its place', () => {
    expect(readBookFile('b.json', '{"format":', emptyBook())).toMatchObject({
      faults: [expect.stringContaining('no JSON')],
    });
    expect(readBookFile('b.json', '{"format":"other"}', emptyBook())).toMatchObject({
      faults: [expect.stringContaining('no book file')],
    });
    const bad = JSON.parse(bookFile(draftOf(BOOK))) as {
      items: { minutes: unknown; triggers: unknown }[];
      extra?: number;
    };
    const [first, , third] = bad.items;
    if (!first || !third) throw new Error('The book has too few lines.');
    first.minutes = 'long';
    third.triggers = [{ kind: 'everyHours', hours: -5 }];
    bad.extra = 1;
    const read = readBookFile('b.json', JSON.stringify(bad), emptyBook());
    expect('faults' in read ? read.faults : []).toEqual([
      expect.stringContaining('extra'),
      'items/1/minutes: Give the minutes as a whole number, such as 30.',
      'items/3/triggers: Give the hours as a number from 0.1 to 20,000, such as 50.',
    ]);
  });
});
