import fc from 'fast-check';
import { minorOf } from '../../cost/minor.js';
import { COMPONENT_KEYS } from '../../component/components.js';
import { CATEGORY_KEYS } from '../../fluid/categories.js';
import { FLUID_KIND_KEYS } from '../../fluid/fluidKind.js';
import { ArticleFinder } from './articleFinder.js';
import { articleColumns, ArticleList } from './articleList.js';
import type { ArticleLine, KnownArticle } from './articleList.js';
import { COMPONENT, figureCell, LENGTH, MAKER_NUMBERS, moneyCell, PRESSURE, YES_OR_NO } from './cells.js';
import { fitSpec, LinkList } from './linkLists.js';
import { cellsOf, headingsOf, ListReader } from './list.js';

const words = fc.string({ maxLength: 30, unit: 'grapheme' }).map((text) => text.trim());
const needed = words.filter((text) => text !== '');
const mm = fc.option(fc.integer({ min: 1, max: 2_000_000 }).map((thousandths) => thousandths / 1000));
const makerNumber = fc.record({ maker: words, number: needed, supersededBy: words });
const anyLine: fc.Arbitrary<ArticleLine> = fc.record({
  number: words,
  name: needed,
  kind: fc.constantFrom('kit', 'part', 'fluid'),
  unit: fc.constantFrom('piece', 'litre'),
  component: fc.option(fc.constantFrom(...COMPONENT_KEYS)),
  place: words,
  barcode: words,
  leastOnHand: fc.integer({ min: 0, max: 100_000_000 }).map((thousandths) => thousandths / 1000),
  priceMinor: fc.integer({ min: 0, max: 100_000_000 }),
  makerNumbers: fc.array(makerNumber, { maxLength: 4 }),
  fluidKind: fc.option(fc.constantFrom(...FLUID_KIND_KEYS)),
  grade: words,
  categories: fc.uniqueArray(fc.constantFrom(...CATEGORY_KEYS), { maxLength: 4 }),
  height: mm,
  outside: mm,
  gasket: mm,
  thread: words,
  bypass: mm,
  reach: mm,
  plugThread: words,
  hexagon: mm,
  isRetired: fc.boolean(),
});
const known = (line: ArticleLine, id = 'a'): KnownArticle => {
  const { name, number, barcode } = line;
  return { id, name, number, barcode, line };
};

describe('a list of articles', () => {
  it('is read as it was written, whatever stands in it and however its money is divided (ISO 4217)', () => {
    fc.assert(
      fc.property(anyLine, fc.constantFrom('GBP', 'JPY', 'KWD'), (line, currency) => {
        const columns = articleColumns(currency);
        const reader = ListReader.of(columns, [], headingsOf(columns));
        if (!(reader instanceof ListReader)) throw new Error('The headings are its own.');
        expect(reader.read(cellsOf(columns, line), 2)).toEqual({ values: line, faults: [] });
      }),
    );
  });

  it('does nothing for an article as it is known, in any order of its columns', () => {
    fc.assert(
      fc.property(anyLine, fc.nat(), (line, turn) => {
        const columns = articleColumns('GBP');
        const turned = (cells: string[]) => [...cells.slice(turn % 22), ...cells.slice(0, turn % 22)];
        const list = ArticleList.of(turned(headingsOf(columns)), [known(line)], 'GBP');
        if (Array.isArray(list)) throw new Error('The headings are its own.');
        expect(list.take(turned(cellsOf(columns, line)), 2)).toMatchObject({ does: 'same', changes: [] });
      }),
    );
  });

  it('divides money as ISO 4217 does', () => {
    expect(['GBP', 'JPY', 'KWD'].map((currency) => minorOf(currency).digits)).toEqual([2, 0, 3]);
    expect(moneyCell(0).read('1200')).toBe(1200);
    expect(moneyCell(0).read('12.5')).toBeUndefined();
    expect(moneyCell(3).read('1.005')).toBe(1005);
  });
});

describe('a cell', () => {
  it('takes figures as people write them, and nothing that could be misread', () => {
    const cell = figureCell(3);
    expect(['2', '2.5', '2,5', '0', '0.125'].map(cell.read)).toEqual([2, 2.5, 2.5, 0, 0.125]);
    for (const odd of ['-1', '1e3', '1,000.5', '2.', '.5', '1 200', '£5', '0.1234', 'NaN', '٣'])
      expect([odd, cell.read(odd)]).toEqual([odd, undefined]);
  });

  it('takes lengths and pressures in the units that they are written in', () => {
    expect([LENGTH.read('76'), LENGTH.read('3 in'), LENGTH.read('7.6 cm')]).toEqual([76, 76.2, 76]);
    expect(LENGTH.read('3 psi')).toBeUndefined();
    expect(PRESSURE.read('10 psi')).toBeCloseTo(68.9476, 4);
    expect(YES_OR_NO.read('Yes')).toBe(true);
    expect(YES_OR_NO.read('constructor')).toBeUndefined();
  });

  it('takes every component by its words and by its key', () => {
    for (const key of COMPONENT_KEYS) {
      expect([key, COMPONENT.read(COMPONENT.write(key))]).toEqual([key, key]);
      expect([key, COMPONENT.read(key)]).toEqual([key, key]);
    }
  });

  it("says makers' numbers in words, and as JSON where those could be misread", () => {
    const plain = [
      { maker: 'Verrick', number: 'VF 1', supersededBy: 'VF 2' },
      { maker: '', number: 'M 1', supersededBy: '' },
    ];
    expect(MAKER_NUMBERS.write(plain)).toBe('Verrick: VF 1 > VF 2; M 1');
    expect(MAKER_NUMBERS.read('Verrick:VF 1>VF 2;M 1')).toEqual(plain);
    expect(MAKER_NUMBERS.write([{ maker: 'A: B', number: '1', supersededBy: '' }])).toMatch(/^\[/);
    for (const odd of ['Verrick:', '; 1', 'a > b > c', '[{"number":1}]', '[1', '{}>'])
      expect([odd, MAKER_NUMBERS.read(odd)]).toEqual([odd, undefined]);
  });
});

describe('an article of another list', () => {
  const named = (id: string, name: string, number = '', barcode = '') => ({ id, name, number, barcode });

  it('is found by its number, barcode or name, and asked for where two are meant', () => {
    const finder = new ArticleFinder([
      named('a', 'Plug', 'P-1', '77'),
      named('b', 'P-2'),
      named('c', 'Oil', 'P-2'),
    ]);
    const id = (text: string) => {
      const found = finder.find(text);
      return typeof found === 'string' ? found.slice(0, 30) : found.id;
    };
    expect([id('p-1'), id('77'), id('  PLUG'), id('Öil')]).toEqual(['a', 'a', 'a', 'c']);
    expect(id('P-2')).toBe('"P-2" is the number of Oil, an');
    expect(id('P-3')).toBe('There is no article "P-3". Wri');
  });

  it('is one line for each machine and component, whatever else stands there', () => {
    const facts = {
      owners: [{ id: 'm', name: 'Z-1', codes: [] }],
      articles: [named('a', 'Oil', 'O-1')],
      links: [],
    };
    const list = LinkList.of(fitSpec(), ['article', 'machine', 'component', 'reason'], facts);
    if (Array.isArray(list)) throw new Error('The headings are its own.');
    expect(list.take(['O-1', 'z-1', 'engine oil', ''], 2)).toMatchObject({
      does: 'new',
      now: {
        owner: 'Z-1',
        article: 'Oil',
        component: 'engineOil',
        quantity: null,
        standing: 'original',
        reason: '',
      },
    });
    expect(list.take(['Oil', 'Z-1', 'hydro oil', ''], 3)).toMatchObject({ does: 'new' });
    expect(list.take(['Oil', 'Z-1', 'engineOil', 'again'], 4)).toMatchObject({
      does: 'fault',
      faults: [{ line: 4, detail: 'Line 2 says it already.' }],
    });
  });
});
