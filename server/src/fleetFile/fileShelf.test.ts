import type {
  ArticleDto,
  FileArticleDto,
  FileMovementDto,
  FileShelfDto,
  FileVisitDto,
  FleetFileDto,
  ImportResultDto,
  RecordPageDto,
  SupplierDto,
} from '@yugator/contracts';
import { faultsOf, fitActs } from '../testing/fitActs.js';
import type { Refused } from '../testing/fitActs.js';
import { jobActs } from '../testing/jobActs.js';
import { yardOfFile } from '../testing/testApp.js';

const yard = yardOfFile('Europe/London');
const { ready, signOff } = jobActs(() => yard);
const { article, register } = fitActs(() => yard);
const exported = async () => (await yard.ask<FleetFileDto>('GET', '/api/fleet/file')).body;
const take = (file: unknown, isTrial = false) =>
  yard.ask<ImportResultDto & Refused>('POST', '/api/fleet/import', { body: { file, isTrial } });

const ARTICLE: FileArticleDto = {
  name: 'Black filter',
  kind: 'part',
  unit: 'piece',
  leastOnHand: 2,
  priceMinor: 790,
  number: 'F-1',
  component: 'engineOilFilter',
  isRetired: false,
  contents: [],
  lots: [
    { left: 2, leftMinor: 1400, container: null },
    { left: 1, leftMinor: 790, container: null },
  ],
};
const MOVEMENT: FileMovementDto = {
  at: '2026-05-01T10:00:00Z',
  kind: 'received',
  quantity: 2,
  valueMinor: 1000,
  container: null,
  shed: null,
  by: '',
  note: '',
  visit: null,
  takes: [],
};
const shelfOf = (over: Partial<FileShelfDto>): FileShelfDto => ({
  currency: 'GBP',
  articles: [ARTICLE],
  suppliers: [],
  ...over,
});

function one<T>(all: readonly T[], is: (each: T) => boolean): T {
  const found = all.find(is);
  if (!found) throw new Error('It is not there.');
  return found;
}
const onShelf = async (name: string) =>
  one((await yard.ask<ArticleDto[]>('GET', '/api/articles')).body, (each) => each.name === name);
const articleIn = ({ shelf }: FleetFileDto, name: string) =>
  one(shelf?.articles ?? [], (each) => each.name === name);
const movementsIn = (file: FleetFileDto, name: string) => articleIn(file, name).movements ?? [];

/** The fleet of a file under other tags, with one article of its shelf under another name, thrown away by somebody else. */
function elsewhere(file: FleetFileDto, name: string): FleetFileDto {
  const visitOf = (visit: FileVisitDto | null) => visit && { ...visit, machine: `N-${visit.machine}` };
  const movements = movementsIn(file, name).map((movement) => ({
    ...movement,
    visit: visitOf(movement.visit),
    by: movement.kind === 'scrapped' ? 'Somebody else' : movement.by,
  }));
  const other = { ...articleIn(file, name), name: `${name} of elsewhere`, number: 'O-2', movements };
  const machines = file.machines.map((machine) => ({ ...machine, tag: `N-${machine.tag}`, fits: [] }));
  return { ...file, machines, shelf: shelfOf({ articles: [other] }) };
}

describe('the shelf in a fleet file', () => {
  it('is new here with what lies there in lots, kits, suppliers and what fits; a second time nothing is new', async () => {
    const { machines, ...file } = await exported();
    const [first] = machines;
    if (!first) throw new Error('The fleet is too small.');
    const kit: FileArticleDto = {
      ...ARTICLE,
      name: 'Filter kit',
      kind: 'kit',
      number: 'K-9',
      component: null,
      contents: [{ article: 'black filter', quantity: 2 }],
      lots: [],
    };
    const plain = { leadDays: 2, carriageMinor: 650, freeFromMinor: null, note: '', isRetired: false };
    const offers = [{ article: 'Black filter', number: 'x', pack: 10, priceMinor: 6900, leadDays: null }];
    const shelf = shelfOf({ articles: [ARTICLE, kit], suppliers: [{ name: 'Larch', ...plain, offers }] });
    const fit = { component: 'engineOilFilter' as const, article: 'Black filter', quantity: 1 };
    const fits = [{ ...fit, standing: 'original' as const, reason: '' }];
    const whole = { ...file, machines: [{ ...first, tag: 'S-1', fits }], shelf };
    const trial = await take(whole, true);
    expect(trial.body).toMatchObject({ machines: 1, articles: 2, suppliers: 1, written: false });
    expect((await exported()).shelf?.articles.map(({ name }) => name)).toEqual(
      file.shelf?.articles.map(({ name }) => name),
    );
    expect((await take(whole)).body.written).toBe(true);
    const { body } = await yard.ask<ArticleDto[]>('GET', '/api/articles');
    expect(body.find(({ name }) => name === 'Black filter')).toMatchObject({
      onHand: 3,
      lots: [
        { left: 2, leftMinor: 1400 },
        { left: 1, leftMinor: 790 },
      ],
    });
    const again = await exported();
    expect(again.machines.find(({ tag }) => tag === 'S-1')?.fits).toEqual(fits);
    expect(again.shelf?.suppliers).toEqual([{ name: 'Larch', ...plain, offers }]);
    expect(again.shelf?.articles.find(({ name }) => name === 'Filter kit')?.contents).toEqual([
      { article: 'Black filter', quantity: 2 },
    ]);
    const other = { ...whole, machines: [{ ...first, tag: 'S-2', fits }] };
    expect((await take(other)).body).toMatchObject({ articles: 0, suppliers: 0, written: true });
    expect((await yard.ask<ArticleDto[]>('GET', '/api/articles')).body).toHaveLength(body.length);
    expect((await yard.ask<SupplierDto[]>('GET', '/api/suppliers')).body).toHaveLength(1);
  });

  it('brings all that came and went, of which lots and for which visit, and what lies in which shed', async () => {
    await register('B-1', { shed: 'Boat house' });
    const oil = await article({ name: 'Oil', kind: 'fluid', unit: 'litre', number: 'O-1' });
    const act = (body: object) => yard.ask('POST', `/api/articles/${oil}/movements`, { body });
    await act({ kind: 'received', quantity: 20, container: 5, priceMinor: 500, shed: 'Boat house' });
    await act({ kind: 'received', quantity: 5, priceMinor: 600, shed: 'Boat house' });
    await act({ kind: 'moved', quantity: 5, shed: 'Boat house', toShed: 'North shed' });
    await signOff(await ready(), { draws: [{ articleId: oil, quantity: 22 }] });
    await act({ kind: 'scrapped', quantity: 1, note: 'Spilt', shed: 'Boat house' });
    const file = await exported();
    const ofOil = movementsIn(file, 'Oil');
    const kinds = ['received', 'received', 'moved', 'moved', 'drawn', 'drawn', 'scrapped'];
    expect(ofOil.map(({ kind }) => kind)).toEqual(kinds);
    expect(ofOil[4]).toMatchObject({ by: 'mechanic', visit: { machine: 'T-1' } });
    expect((await take(elsewhere(file, 'Oil'))).body).toMatchObject({ articles: 1, written: true });
    const [here, there] = [await onShelf('Oil'), await onShelf('Oil of elsewhere')];
    expect([there.onHand, there.sheds, there.lots]).toEqual([here.onHand, here.sheds, here.lots]);
    expect(there.movements.map(({ machineTag }) => machineTag)).toContain('N-T-1');
    const scrapped = there.movements.filter(({ kind }) => kind === 'scrapped');
    expect(scrapped).toMatchObject([{ by: null, note: 'Spilt, by Somebody else' }]);
    const plain = (movements: readonly FileMovementDto[]) =>
      movements.map(({ by: _by, note: _note, visit: _visit, ...movement }) => movement);
    expect(plain(movementsIn(await exported(), 'Oil of elsewhere'))).toEqual(plain(ofOil));
  });

  it('keeps what a visit drew with its record, which gives it back when it is voided', async () => {
    const oil = await article({ name: 'Oil', kind: 'fluid', unit: 'litre', number: 'O-1', priceMinor: 500 });
    const received = { kind: 'received', quantity: 20 };
    await yard.ask('POST', `/api/articles/${oil}/movements`, { body: received });
    await signOff(await ready(), { draws: [{ articleId: oil, quantity: 2 }] });
    await take(elsewhere(await exported(), 'Oil'));
    const { body } = await yard.ask<RecordPageDto>('GET', '/api/records');
    const record = one(body.records, ({ machine }) => machine.tag === 'N-T-1');
    expect(record.draws).toEqual([{ name: 'Oil of elsewhere', unit: 'litre', quantity: 2, costMinor: 1000 }]);
    const reason = { reason: 'Another machine' };
    await yard.ask('POST', `/api/records/${record.jobId}/void`, { body: reason });
    expect(await onShelf('Oil of elsewhere')).toMatchObject({ onHand: 20, lots: [{ left: 20 }] });
  });

  it.each<[string, FileShelfDto, [string, string][]]>([
    ['another currency', shelfOf({ currency: 'USD' }), [['currency', 'other']]],
    [
      'an article twice',
      shelfOf({ articles: [ARTICLE, { ...ARTICLE, name: 'BLACK FILTER', number: '' }] }),
      [['articles/1/name', 'repeated']],
    ],
    [
      'a code of two',
      shelfOf({ articles: [ARTICLE, { ...ARTICLE, name: 'Other', number: '', barcode: 'f-1' }] }),
      [['articles/1/number', 'taken']],
    ],
    [
      'half a piece',
      shelfOf({ articles: [{ ...ARTICLE, lots: [{ left: 0.5, leftMinor: 1, container: null }] }] }),
      [['articles/0/lots/0/left', 'notWhole']],
    ],
    [
      'movements that do not add up, and lots beside them',
      shelfOf({
        articles: [
          {
            ...ARTICLE,
            movements: [
              { ...MOVEMENT, quantity: 1.5 },
              { ...MOVEMENT, kind: 'drawn', quantity: -1, valueMinor: -500 },
              { ...MOVEMENT, at: '2099-01-01T00:00:00Z' },
            ],
          },
        ],
      }),
      [
        ['articles/0/lots', 'twice'],
        ['articles/0/movements/0/quantity', 'notWhole'],
        ['articles/0/movements/2/at', 'future'],
        ['articles/0/movements/1/takes', 'takes'],
      ],
    ],
    [
      'contents of no kit',
      shelfOf({ articles: [{ ...ARTICLE, contents: [{ article: 'Nothing', quantity: 1 }] }] }),
      [
        ['articles/0/contents', 'noKit'],
        ['articles/0/contents/0/article', 'unknown'],
      ],
    ],
    [
      'a kit in a kit',
      shelfOf({
        articles: [
          {
            ...ARTICLE,
            kind: 'kit',
            component: null,
            lots: [],
            contents: [{ article: 'Black filter', quantity: 1 }],
          },
        ],
      }),
      [['articles/0/contents/0/article', 'kitInKit']],
    ],
    [
      'a part that is a fluid',
      shelfOf({ articles: [{ ...ARTICLE, component: 'engineOil' }] }),
      [['articles/0/component', 'doesNotGo']],
    ],
  ])('is refused whole for %s', async (_what, shelf, faults) => {
    const before = await exported();
    const refused = await take({ ...before, machines: [], shelf });
    expect([refused.status, faultsOf(refused.body)]).toEqual([
      422,
      faults.map(([place, code]) => [`#/file/shelf/${place}`, code]),
    ]);
    expect((await exported()).shelf).toEqual(before.shelf);
  });

  it('is refused for what fits that is no part of the machine, a kit, or not on any shelf', async () => {
    const file = await exported();
    const [first] = file.machines;
    if (!first) throw new Error('The fleet is too small.');
    const fit = {
      component: 'engineOilFilter' as const,
      article: 'Black filter',
      quantity: null,
      standing: 'original' as const,
      reason: '',
    };
    const fits = [
      { ...fit, article: 'Nothing of the kind' },
      { ...fit, article: 'Oil change kit' },
      { ...fit, component: 'airFilter' as const },
      { ...fit, quantity: 1.5 },
      fit,
      fit,
    ];
    const refused = await take({ ...file, shelf: shelfOf({}), machines: [{ ...first, tag: 'S-3', fits }] });
    expect(faultsOf(refused.body)).toEqual([
      ['#/file/machines/0/fits/0/article', 'unknown'],
      ['#/file/machines/0/fits/1/article', 'kit'],
      ['#/file/machines/0/fits/2/article', 'otherComponent'],
      ['#/file/machines/0/fits/3/quantity', 'notWhole'],
      ['#/file/machines/0/fits/4/article', 'repeated'],
      ['#/file/machines/0/fits/5/article', 'repeated'],
    ]);
  });
});
