import fc from 'fast-check';
import type { BookDto } from '@yugator/contracts';
import type { Trigger } from '@yugator/core';
import {
  draftOf,
  emptyBook,
  fieldsOf,
  nextMark,
  parseColumn,
  withColumn,
  withoutColumn,
} from './bookDraft.js';
import type { BookDraft } from './bookDraft.js';
import { csvOf } from './bookCsv.js';
import { bookFile, readBookFile } from './bookFiles.js';

const item = (name: string, triggers: BookDto['items'][number]['triggers']): BookDto['items'][number] => ({
  id: name,
  name,
  action: 'replace',
  components: ['engineOil'],
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

  it('come back whole from CSV, whatever stands in them', () => {
    const name = fc.stringMatching(/^[A-Za-z][A-Za-z ,;"]{0,20}[A-Za-z]$/);
    const trigger: fc.Arbitrary<Trigger> = fc.oneof(
      fc.record({
        kind: fc.constant('everyHours' as const),
        hours: fc.constantFrom(10, 25, 50, 62.5),
        meter: fc.constantFrom('engine' as const, 'loader' as const),
        grid: fc.constantFrom(null, 'sinceDone' as const),
      }),
      fc.record({
        kind: fc.constantFrom('everyCalendar' as const, 'firstCalendar' as const),
        count: fc.constantFrom(1, 7, 12, 100),
        unit: fc.constantFrom('day' as const, 'month' as const),
        inUse: fc.constant(null),
      }),
      fc.constant({ kind: 'storage', days: 30 } as const),
      fc.constant({ kind: 'seasonEdge', season: 'Mowing', edge: 'first', offsetDays: -14 } as const),
      fc.constant({ kind: 'everyNth', n: 2, itemId: 'Oil', everyTimeAboveHours: 100 } as const),
    );
    const line = fc.record({
      name,
      triggers: fc.uniqueArray(trigger, { minLength: 1, maxLength: 3, selector: ({ kind }) => kind }),
      renews: fc.array(name, { maxLength: 2 }),
      components: fc.subarray(['engineOil', 'engineOilFilter', 'other', 'dustValve'] as const, {
        minLength: 1,
      }),
      windowHours: fc.constantFrom(null, 2.5),
      windowDays: fc.constantFrom(null, 9),
      consequence: fc.constantFrom(null, 'ruin' as const),
      doneIn: fc.constantFrom(null, 'walk' as const, 'visit' as const),
    });
    fc.assert(
      fc.property(fc.array(line, { minLength: 1, maxLength: 6 }), (lines) => {
        const items = lines.map((each) => ({ ...item(each.name, []), ...each }));
        const draft = draftOf({ ...BOOK, items });
        const read = readBookFile('book.csv', csvOf(draft), { ...draft, lines: [], columns: [] });
        if (!('draft' in read)) throw new Error(read.faults.join());
        const withoutIds = (book: BookDraft) => fieldsOf(book).items.map(({ id: _id, ...fields }) => fields);
        expect(withoutIds(read.draft)).toEqual(withoutIds(draft));
      }),
      { seed: 6, numRuns: 200 },
    );
  });

  it('come back from the CSV that did not say yet where work is done, and refuse a place that there is none', () => {
    const head =
      'line,action,components,minutes,reference,note,further rules,does as well,window hours,window days,lateness';
    const readOf = (first: string, cells: string) =>
      readBookFile('book.csv', `${first},50 h\nOil,replace,engine oil,30,,,,,,,${cells}every`, {
        ...emptyBook(),
        name: 'Mine',
      });
    const before = readOf(head, ',');
    if (!('draft' in before)) throw new Error(before.faults.join());
    expect(before.draft.lines.map(({ doneIn, marks }) => [doneIn, marks])).toEqual([[null, ['every']]]);
    expect(readOf(`${head},done in`, ',field,')).toEqual({
      faults: ['Line 2: "field" is nowhere that it is done in; write walk, visit.'],
    });
  });

  it('come back from the CSV of the first version, words of a component taken over where they are sure', () => {
    const csv = [
      'line,action,component,minutes,reference,note,50 h,1 y',
      'Oil and filter,replace,engine oil,30,,,every,every',
      'Gadget,inspect,beacon glass,5,,,every,',
    ].join('\n');
    const read = readBookFile('book.csv', csv, { ...emptyBook(), name: 'Mine' });
    if (!('draft' in read)) throw new Error(read.faults.join());
    expect(read.draft.name).toBe('Mine');
    expect(read.draft.lines.map(({ components, oldWords }) => [components, oldWords])).toEqual([
      [['engineOil', 'engineOilFilter'], ''],
      [[], 'beacon glass'],
    ]);
  });

  it('come back from the JSON of the first version', () => {
    const file = {
      format: 'yugator-book',
      version: 1,
      name: 'Old',
      machineClass: 'zeroTurn',
      meter: 'engine',
      items: [
        {
          name: 'Plugs',
          action: 'replace',
          component: 'spark plugs',
          triggers: [{ kind: 'storage', days: 30 }],
          renews: [],
          minutes: 5,
          reference: '',
          note: '',
          windowHours: null,
          windowDays: null,
        },
      ],
    };
    const read = readBookFile('b.json', JSON.stringify(file), emptyBook());
    if (!('draft' in read)) throw new Error(read.faults.join());
    expect(read.draft.lines[0]).toMatchObject({ components: ['sparkPlugs'], oldWords: '' });
    expect(readBookFile('b.json', JSON.stringify({ ...file, version: 3 }), emptyBook())).toEqual({
      faults: ['This file is of another version. This Yugator reads 1 and 2.'],
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
        'Line 3: what it is done to is missing.',
        'Line 3: "soon" is no whole number of minutes.',
        'Line 3, 50 h: "often" is neither every nor first.',
        'Line 4: no column is marked, so it would never be due.',
      ],
    });
    expect(readBookFile('book.csv', 'name,hours\nOil,50', emptyBook())).toEqual({
      faults: [
        'Line 1: the columns must begin with line,action,components,minutes,reference,note,further rules,does as well,window hours,window days,lateness,done in.',
      ],
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
