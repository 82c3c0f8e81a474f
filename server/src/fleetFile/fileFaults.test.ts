import type { FleetFileDto, MachineDto, ProblemDto } from '@yugator/contracts';
import { nameKey } from '@yugator/core';
import { QueryTypes } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import { testApp } from '../testing/testApp.js';
import type { TestApp } from '../testing/testApp.js';

let yard: TestApp;
beforeAll(async () => {
  yard = await testApp();
});
afterAll(() => yard.close());

type Machine = FleetFileDto['machines'][number];

const exported = async (): Promise<FleetFileDto> =>
  (await yard.ask<FleetFileDto>('GET', '/api/fleet/file')).body;
const take = (file: object, isTrial: boolean) =>
  yard.ask<Omit<ProblemDto, 'status'> & { written: boolean }>('POST', '/api/fleet/import', {
    body: { file, isTrial },
  });
const tags = async () => (await yard.ask<MachineDto[]>('GET', '/api/machines')).body.map(({ tag }) => tag);

/** One machine of the yard under a new tag, changed as a case wants it. */
async function changed(change: (machine: Machine, file: FleetFileDto) => Partial<FleetFileDto>) {
  const file = await exported();
  const [first] = file.machines;
  if (!first) throw new Error('The fleet is too small.');
  const machine = { ...first, tag: 'N-1' };
  return { ...file, machines: [machine], ...change(machine, file) };
}

const only = (machine: Machine) => ({ machines: [machine] });
const year = (at: number, firstDay: string, lastDay: string) => ({ year: at, firstDay, lastDay });
const loader = { kind: 'loader' as const, name: 'Loader', share: 0.2, hoursAtStart: 0, engineAtStart: 0 };

const CASES: readonly (readonly [
  name: string,
  change: (machine: Machine, file: FleetFileDto) => Partial<FleetFileDto>,
  pointer: string,
  code: string,
])[] = [
  [
    'tags that differ in capitals',
    (machine) => ({ machines: [machine, { ...machine, tag: 'n-1' }] }),
    '#/file/machines/1/tag',
    'repeated',
  ],
  [
    'a tag of the fleet in other capitals',
    (machine) => only({ ...machine, tag: 't-1' }),
    '#/file/machines/0/tag',
    'taken',
  ],
  [
    'a book followed twice',
    (machine) => only({ ...machine, books: ['Test book', 'test book'] }),
    '#/file/machines/0/books/1',
    'repeated',
  ],
  [
    'a season taken part in twice',
    (machine) => ({
      seasons: [{ name: 'Leaves', years: [year(2027, '2027-10-01', '2027-11-30')] }],
      machines: [
        { ...machine, seasons: ['Leaves', 'leaves'].map((season) => ({ season, hoursPerWeek: 3 })) },
      ],
    }),
    '#/file/machines/0/seasons/1/season',
    'repeated',
  ],
  [
    'two loaders',
    (machine) => only({ ...machine, attachments: [loader, loader] }),
    '#/file/machines/0/attachments/1/kind',
    'repeated',
  ],
  [
    'a year of a season twice',
    () => ({
      seasons: [
        {
          name: 'Leaves',
          years: [year(2027, '2027-10-01', '2027-11-30'), year(2027, '2027-10-02', '2027-11-30')],
        },
      ],
    }),
    '#/file/seasons/0/years/1/year',
    'repeated',
  ],
  [
    'a season that ends before it begins',
    () => ({ seasons: [{ name: 'Leaves', years: [year(2027, '2027-11-30', '2027-10-01')] }] }),
    '#/file/seasons/0/years/0/lastDay',
    'endsBeforeItBegins',
  ],
  [
    'two meters from one moment',
    (machine) => {
      const [segment] = machine.segments;
      return only({ ...machine, segments: segment ? [segment, { ...segment, offset: 5 }] : [] });
    },
    '#/file/machines/0/segments/1/startsAt',
    'repeated',
  ],
  [
    '890 hours in one hour',
    (machine) =>
      only({
        ...machine,
        readings: [
          { at: '2027-05-01T10:00:00Z', shown: 10 },
          { at: '2027-05-01T11:00:00Z', shown: 900 },
        ],
      }),
    '#/file/machines/0/readings/1/shown',
    'fasterThanClock',
  ],
  [
    'a reading in 2099',
    (machine) => only({ ...machine, readings: [{ at: '2099-01-01T10:00:00Z', shown: 10 }] }),
    '#/file/machines/0/readings/0/shown',
    'future',
  ],
  [
    'two lines of a book that differ in capitals',
    (machine, { books }) => {
      const [book] = books;
      const [line] = book?.items ?? [];
      if (!book || !line) return {};
      const items = [
        { ...line, name: 'Engine oil' },
        { ...line, name: 'engine oil' },
      ];
      return { ...only({ ...machine, done: [], declared: [] }), books: [{ ...book, name: 'Other', items }] };
    },
    '#/file/books/0/items/1/name',
    'repeated',
  ],
];

describe('what a fleet file cannot say', () => {
  it.each(CASES)('%s: a trial refuses it as the import does, and neither leaves a trace', async (...one) => {
    const [, change, pointer, code] = one;
    const before = await tags();
    const file = await changed(change);
    for (const isTrial of [true, false]) {
      const { status, body } = await take(file, isTrial);
      expect([status, body.errors?.map((each) => [each.pointer, each.code])]).toEqual([
        422,
        [[pointer, code]],
      ]);
    }
    expect(await tags()).toEqual(before);
  });

  it('is nothing for a machine that is taken in: the trial leaves nothing of it behind', async () => {
    const before = await tags();
    const file = await changed(() => ({}));
    expect((await take(file, true)).body.written).toBe(false);
    expect(await tags()).toEqual(before);
    expect((await take(file, false)).body.written).toBe(true);
    expect(await tags()).toEqual([...before, 'N-1'].toSorted());
  });

  it('has names compared as the database compares them', async () => {
    const names = [
      'Engine oil',
      'engine OIL',
      'Müller',
      'muller',
      'Straße',
      'STRASSE',
      'Ｍ-07',
      'm-07',
      'M07',
      'Oils',
      'Øre',
      'ore',
    ];
    const pairs = names.flatMap((a) => names.map((b) => [a, b] as const));
    const sequelize = yard.app.get(Sequelize);
    for (const [a, b] of pairs) {
      const [row] = await sequelize.query<{ same: number }>(
        'SELECT CONVERT(:a USING utf8mb4) COLLATE utf8mb4_unicode_520_ci = CONVERT(:b USING utf8mb4) AS same',
        { type: QueryTypes.SELECT, replacements: { a, b } },
      );
      expect([a, b, nameKey(a) === nameKey(b)]).toEqual([a, b, Number(row?.same) === 1]);
    }
  });
});
