import type {
  ArticleDto,
  FitsDto,
  ListResultDto,
  ShelfList,
  ShelfRowsDto,
  SupplierDto,
} from '@yugator/contracts';
import { faultsOf, fitActs } from '../testing/fitActs.js';
import type { Refused } from '../testing/fitActs.js';
import { yardOfFile } from '../testing/testApp.js';

const yard = yardOfFile('Europe/London');
const { article, filter, oil, register, withCard, fitsOf } = fitActs(() => yard);

const rowsOf = async (list: ShelfList) =>
  (await yard.ask<ShelfRowsDto>('GET', `/api/shelf-lists/${list}`)).body.rows;
const send = (list: ShelfList, rows: readonly (readonly string[])[], shown?: string, key?: string) =>
  yard.ask<ListResultDto & Refused>('POST', `/api/shelf-lists/${list}`, {
    body: { rows, ...(shown === undefined ? {} : { shown }) },
    ...(key ? { key } : {}),
  });
/** What the lines of a list come to: nothing is to be at fault. */
async function takeIn(list: ShelfList, rows: readonly (readonly string[])[]): Promise<ListResultDto> {
  const looked = await send(list, rows);
  expect([looked.status, looked.body.written, looked.body.counts.fault]).toEqual([201, false, 0]);
  const taken = await send(list, rows, looked.body.shown);
  expect([taken.status, taken.body.written]).toEqual([201, true]);
  return taken.body;
}
const wrongOf = async (list: ShelfList, rows: readonly (readonly string[])[]) =>
  (await send(list, rows)).body.lines.map(({ line, does, faults }) => [line, does, ...faults]);
const articles = async () => (await yard.ask<ArticleDto[]>('GET', '/api/articles')).body;
const named = async (name: string) => (await articles()).find((each) => each.name === name);
const HEAD = ['number', 'name', 'kind', 'counted in', 'component', 'price (GBP)'];

describe('articles as a list', () => {
  it('are new, changed or the same, line by line; nothing is written until that is sent back', async () => {
    await article({ name: 'Black filter', number: 'F-1', component: 'engineOilFilter', priceMinor: 790 });
    const before = await articles();
    const rows = [
      HEAD,
      ['F-1', 'Black filter, long', 'part', 'piece', 'engine oil filter', '8.20'],
      [''],
      ['P-1', 'Plug, 14 mm', 'part', 'piece', 'spark plugs', '3,05'],
    ];
    const { body } = await send('articles', rows);
    expect(body.lines).toMatchObject([
      {
        line: 2,
        does: 'change',
        subject: 'Black filter',
        changes: [
          { heading: 'name', from: 'Black filter', to: 'Black filter, long' },
          { heading: 'price (GBP)', from: '7.90', to: '8.20' },
        ],
      },
      { line: 4, does: 'new', subject: 'Plug, 14 mm', changes: [] },
    ]);
    expect(await articles()).toEqual(before);
    await takeIn('articles', rows);
    expect(await named('Plug, 14 mm')).toMatchObject({
      number: 'P-1',
      priceMinor: 305,
      component: 'sparkPlugs',
    });
    expect(await named('Black filter, long')).toMatchObject({ version: 2, priceMinor: 820, number: 'F-1' });
    expect((await send('articles', rows)).body.counts).toEqual({ new: 0, change: 0, same: 2, fault: 0 });
  });

  it('change nothing when they are read again as they were written, all of their columns', async () => {
    await oil('Oil, 10W-30', '10W-30', 'API SN', 'API CF');
    await filter('Black filter', { bypass: 70 as never }, [
      { maker: 'Verrick', number: 'VF 1', supersededBy: 'VF 2' },
      { maker: 'A; B: C', number: '[1]', supersededBy: '' },
    ]);
    const plug = { reach: 19, thread: 'M14 × 1.25', hexagon: 16 };
    await article({
      name: 'Plug',
      component: 'sparkPlugs',
      plug,
      place: 'Bin 4',
      barcode: '5 012',
      leastOnHand: 2.5,
    });
    const rows = await rowsOf('articles');
    expect(rows).toHaveLength((await articles()).length + 1);
    const { body } = await send('articles', rows);
    expect(body.lines).toEqual([]);
    expect(body.counts.same).toBe(rows.length - 1);
    const again = await send('articles', rows, body.shown);
    expect([again.status, again.body.written]).toEqual([201, true]);
    expect((await named('Plug'))?.version).toBe(1);
    // An empty cell says that there is none; a column that is left out says nothing.
    await takeIn('articles', [
      ['name', 'place'],
      ['Plug', ''],
    ]);
    expect(await named('Plug')).toMatchObject({ place: '', barcode: '5 012', plug });
  });

  it('say what is wrong with every line, and nothing of them is written', async () => {
    await article({ name: 'Black filter', number: 'F-1' });
    await article({ name: 'Plug', number: 'P-1', barcode: '77' });
    const [head, ...lines] = [
      HEAD,
      ['', '', 'part', 'piece', '', '1'],
      ['N-1', 'New one', 'screw', 'piece', '', '1.005'],
      ['F-1', 'Plug', 'part', 'piece', '', '5'],
      ['77', 'Another', 'part', 'piece', '', '5'],
      ['P-1', 'Plug', 'fluid', 'litre', '', '5'],
      ['N-2', 'Oil', 'part', 'piece', 'engine oil', '5'],
      ['N-3', 'Good', 'part', 'piece', '', '5'],
      ['N-3', 'Good too', 'part', 'piece', '', '5'],
      ['N-4', 'x', 'part', 'piece', '', '5', 'more'],
      ['N-5', 'x', 'part', 'piece', '', '5'],
    ];
    const before = await articles();
    const rows = [head ?? [], ...lines];
    expect(await wrongOf('articles', rows)).toEqual([
      [2, 'fault', 'name: This may not be empty: write words.'],
      [
        3,
        'fault',
        'kind: "screw" cannot be: write kit, part, fluid.',
        'price (GBP): "1.005" cannot be: write an amount such as 28.90.',
      ],
      [4, 'fault', 'name: Black filter has this number, and another article this name.'],
      [5, 'fault', 'number: That is the code of Plug.'],
      [
        6,
        'fault',
        'kind: What it is, and how it is counted, stays as it is. Put it on the shelf as another article.',
      ],
      [7, 'fault', 'component: That is a fluid, and this a part. Choose another.'],
      [8, 'new'],
      [9, 'fault', 'number: Line 8 says it already.'],
      [10, 'fault', 'There are more cells than headings.'],
      [11, 'fault', 'name: Name the article with 2 to 80 letters.'],
    ]);
    const { shown } = (await send('articles', rows)).body;
    expect((await send('articles', rows, shown)).status).toBe(409);
    expect(await articles()).toEqual(before);
  });

  it('are not taken in where the shelf was changed since they were looked at', async () => {
    const id = await article({ name: 'Plug', number: 'P-1' });
    const rows = [
      ['number', 'name', 'place'],
      ['P-1', 'Plug', 'Bin 4'],
    ];
    const { shown } = (await send('articles', rows)).body;
    const body = {
      name: 'Plug',
      number: 'P-1',
      place: 'Bin 3',
      leastOnHand: 0,
      priceMinor: 500,
      contents: [],
      version: 1,
    };
    expect((await yard.ask('PUT', `/api/articles/${id}`, { body })).status).toBe(200);
    const late = await yard.ask<Refused & { current: ListResultDto }>('POST', '/api/shelf-lists/articles', {
      body: { rows, shown },
    });
    expect([late.status, late.body.current.lines]).toMatchObject([
      409,
      [{ changes: [{ heading: 'place', from: 'Bin 3', to: 'Bin 4' }] }],
    ]);
    expect((await named('Plug'))?.place).toBe('Bin 3');
    // The same key and body get the same answer, and nothing is done twice.
    const now = late.body.current.shown;
    expect((await send('articles', rows, now, 'one-key-1')).body.written).toBe(true);
    expect((await send('articles', rows, now, 'one-key-1')).body.written).toBe(true);
    expect(await named('Plug')).toMatchObject({ place: 'Bin 4', version: 3 });
  });

  it('is the crew lead’s to take in, has headings of its own currency, and no more than 10,000 lines', async () => {
    const as = async (role: 'mechanic' | 'operator', method: string) =>
      (
        await yard.ask(method, '/api/shelf-lists/articles', {
          as: role,
          ...(method === 'POST' ? { body: { rows: [] } } : {}),
        })
      ).status;
    expect([await as('mechanic', 'GET'), await as('mechanic', 'POST'), await as('operator', 'GET')]).toEqual([
      200, 403, 403,
    ]);
    const [head] = (await send('articles', [['name', 'price (USD)', 'name']])).body.lines;
    expect(head).toMatchObject({ line: 1, does: 'fault' });
    expect(head?.faults).toEqual([
      expect.stringMatching(/^price \(USD\): "price \(USD\)" is no column of this list/),
      'name: The column "name" stands there twice.',
    ]);
    expect((await send('articles', [])).body.lines[0]?.faults).toEqual([
      'name: The column "name" is missing.',
    ]);
    const long = await send('articles', [['name'], ...Array.from({ length: 10_001 }, () => ['x'])]);
    expect([long.status, faultsOf(long.body)]).toEqual([422, [['#/rows', 'tooMany']]]);
    expect((await send('articles', [['name', 3 as never]])).status).toBe(422);
    expect((await yard.ask('GET', '/api/shelf-lists/people')).status).toBe(404);
  });
});

describe('what is said of articles as a list', () => {
  it('is the price of a pack with its supplier, and takes nothing away', async () => {
    const black = await article({ name: 'Black filter', number: 'F-1' });
    const plain = { leadDays: 3, carriageMinor: 650, freeFromMinor: null, note: '' };
    const { body: larch } = await yard.ask<SupplierDto>('POST', '/api/suppliers', {
      body: { name: 'Larch', ...plain },
    });
    const offers = [{ articleId: black, number: 'x', pack: 10, priceMinor: 7000, leadDays: null }];
    await yard.ask('PUT', `/api/suppliers/${larch.id}`, {
      body: { name: 'Larch', ...plain, isRetired: false, version: 1, offers },
    });
    const head = ['supplier', 'article', 'pack holds', 'price (GBP)'];
    expect(
      await wrongOf('prices', [
        head,
        ['Larch', 'F-1', '0.5', '8.20'],
        ['Nobody', 'F-1', '1', '8.20'],
        ['Larch', 'F-9', '1', '8.20'],
        ['Larch', 'Black filter', '10', '69'],
        ['larch', 'F-1', '10.0', '68'],
      ]),
    ).toEqual([
      [2, 'fault', 'pack holds: Pieces are whole: type a whole number.'],
      [3, 'fault', 'supplier: There is no supplier "Nobody". Add it first.'],
      [4, 'fault', 'article: There is no article "F-9". Write its name, number or barcode.'],
      [5, 'change'],
      [6, 'fault', 'Line 5 says it already.'],
    ]);
    const result = await takeIn('prices', [head, ['Larch', 'F-1', '', '8.20'], ['Larch', 'F-1', '10', '69']]);
    expect(result.counts).toEqual({ new: 1, change: 1, same: 0, fault: 0 });
    const { body } = await yard.ask<SupplierDto[]>('GET', '/api/suppliers');
    expect(body[0]).toMatchObject({
      version: 3,
      offers: [
        { pack: 1, priceMinor: 820, number: '' },
        { pack: 10, priceMinor: 6900, number: 'x' },
      ],
    });
    expect((await send('prices', await rowsOf('prices'))).body.lines).toEqual([]);
  });

  it('is what kits hold, found by name or number', async () => {
    await article({ name: 'Black filter', number: 'F-1' });
    const head = ['kit', 'article', 'how much'];
    expect(
      await wrongOf('kits', [
        head,
        ['Black filter', 'F-1', '1'],
        ['Oil change kit', 'Oil change kit', '1'],
        ['Oil change kit', 'F-1', '0'],
      ]),
    ).toEqual([
      [2, 'fault', 'kit: There is no kit "Black filter". Add it first.'],
      [3, 'fault', 'article: A kit holds parts and fluids, not kits.'],
      [4, 'fault', 'how much: Type how much of it is in one kit, more than 0, or take the line out.'],
    ]);
    await takeIn('kits', [head, ['Oil change kit', 'F-1', '2']]);
    expect(await named('Oil change kit')).toMatchObject({
      version: 2,
      contents: [{ name: 'Black filter', quantity: 2 }],
    });
    expect(await rowsOf('kits')).toEqual([head, ['Oil change kit', 'Black filter', '2']]);
  });

  it('is what fits, judged as on the page of the machine', async () => {
    const machine = await register('Z-1');
    await withCard(machine, 'API SJ or later');
    await filter('Black filter');
    await filter('Short filter', { height: 60 });
    await oil('Good oil', '10W-30', 'API SN');
    await oil('Wrong oil', '10W-30', 'API CK-4');
    const head = ['machine', 'component', 'article', 'standing', 'reason'];
    const right = [
      ['Z-1', 'engine oil', 'Good oil', '', ''],
      ['z-1', 'engine oil filter', 'Black filter', 'original', ''],
    ];
    const wrong = await send('fits', [
      head,
      ...right,
      ['Z-1', 'engine oil filter', 'Short filter', 'substitute', 'it was cheap'],
      ['Z-1', 'engine oil', 'Wrong oil', 'equal', ''],
      ['Z-1', 'coolant', 'Good oil', '', ''],
      ['Z-9', 'engine oil', 'Good oil', '', ''],
    ]);
    expect(
      wrong.body.lines.map(({ line, does, faults }) => [line, does, faults.map((each) => each.slice(0, 40))]),
    ).toEqual([
      [2, 'new', []],
      [3, 'new', []],
      [4, 'fault', ['article: It is smaller than the original']],
      [5, 'fault', ['reason: Wrong oil does not belong in the']],
      [6, 'fault', ['component: This machine has no coolant. ']],
      [7, 'fault', ['machine: There is no machine "Z-9". Add ']],
    ]);
    await takeIn('fits', [head, ...right]);
    const said: FitsDto = await fitsOf(machine.id);
    expect(said.fits.map(({ name, standing }) => [name, standing])).toEqual([
      ['Good oil', 'original'],
      ['Black filter', 'original'],
    ]);
    expect((await send('fits', await rowsOf('fits'))).body.lines).toEqual([]);
  });
});
