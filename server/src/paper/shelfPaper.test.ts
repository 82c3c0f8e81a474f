import { LABELS_OF_SHEET } from '@yugator/contracts';
import type { ArticleDto, Paper } from '@yugator/contracts';
import { NO_SHED } from '@yugator/core';
import {
  BarcodeFormat,
  BinaryBitmap,
  DecodeHintType,
  HybridBinarizer,
  MultiFormatReader,
  RGBLuminanceSource,
} from '@zxing/library';
import sharp from 'sharp';
import { fitActs } from '../testing/fitActs.js';
import { yardOfFile } from '../testing/testApp.js';
import { barsOf } from './bars.js';
import { countPaper } from './countPaper.js';
import { countParts } from './countParts.js';
import { shelfLabelPaper } from './shelfLabelPaper.js';

const yard = yardOfFile('Europe/London');
const { article } = fitActs(() => yard);

/** What a scanner of another maker reads of bars that are drawn as SVG. */
async function scanned(svg: string): Promise<{ text: string; format: BarcodeFormat }> {
  const { data, info } = await sharp(Buffer.from(svg), { density: 300 })
    .flatten({ background: '#ffffff' })
    .extend({ top: 40, bottom: 40, left: 60, right: 60, background: '#ffffff' })
    .greyscale()
    .raw()
    .toBuffer({ resolveWithObject: true });
  const source = new RGBLuminanceSource(new Uint8ClampedArray(data), info.width, info.height);
  const reader = new MultiFormatReader();
  reader.setHints(new Map([[DecodeHintType.TRY_HARDER, true]]));
  const read = reader.decode(new BinaryBitmap(new HybridBinarizer(source)));
  return { text: read.getText(), format: read.getBarcodeFormat() };
}

/** All texts of a paper, or its drawings, in order. */
function partsOf(content: unknown, field: 'svg' | 'text'): string[] {
  if (Array.isArray(content))
    return content.flatMap((each: unknown) =>
      typeof each === 'string' && field === 'text' ? [each] : partsOf(each, field),
    );
  if (typeof content !== 'object' || content === null) return [];
  return Object.entries(content).flatMap(([key, value]: [string, unknown]) =>
    key === field && typeof value === 'string' ? [value] : partsOf(value, field),
  );
}

describe('the bars of an article', () => {
  it.each(['F-01', 'K 02/b', '4006381333931', 'abcDEF 123', '~!"#$%', 'X'])(
    'say %p to a scanner, as Code 128 (ISO/IEC 15417)',
    async (code) => {
      expect(await scanned(barsOf(code) ?? '')).toEqual({ text: code, format: BarcodeFormat.CODE_128 });
    },
  );

  it('are left out where Code 128 cannot say it', () => {
    expect(['', 'Ölfilter', '£1', 'x'.repeat(41)].map(barsOf)).toEqual([null, null, null, null]);
  });
});

describe('labels for the shelf', () => {
  it.each<Paper>(['a4', 'letter'])('stand on their labels on %s, each with its own bars', async (paper) => {
    const perSheet = LABELS_OF_SHEET[paper];
    const labels = Array.from({ length: perSheet + 1 }, (_, at) => ({
      name:
        at === 0
          ? 'An article with a name as long as names of articles may be, which is eighty'
          : `Filter ${at}`,
      about: 'F-01 · Bin 4',
      code: at === 1 ? 'Öl' : `F-${at}`,
    }));
    const { content } = shelfLabelPaper(labels, paper, 1);
    const read = await Promise.all(partsOf(content, 'svg').map(async (svg) => (await scanned(svg)).text));
    expect(read).toEqual(labels.map(({ code }) => code).filter((code) => code !== 'Öl'));
    const places = (content as { absolutePosition: { x: number; y: number }; pageBreak?: string }[]).map(
      ({ absolutePosition, pageBreak }) => ({ ...absolutePosition, pageBreak }),
    );
    const [width, height] = paper === 'a4' ? [595.28, 841.89] : [612, 792];
    for (const { x, y } of places)
      expect([x > 0, x < width, y > 0, y < height - 20]).toEqual([true, true, true, true]);
    expect(places.filter(({ pageBreak }) => pageBreak === 'before')).toHaveLength(1);
  });

  it('are printed for one article, a place or the whole shelf, by who works with it', async () => {
    const id = await article({ name: 'Plug', number: 'P-1', place: 'Bin 4' });
    const status = async (query: string, as: 'mechanic' | 'operator' = 'mechanic') =>
      (await yard.ask('GET', `/api/shelf-paper/labels.pdf?${query}`, { as })).status;
    expect(await status('')).toBe(200);
    expect(await status(`articleId=${id}&paper=letter&from=30`)).toBe(200);
    expect(await status('place=Bin%204')).toBe(200);
    expect(await status('place=Bin%209')).toBe(404);
    expect(await status('from=25')).toBe(422);
    expect(await status('', 'operator')).toBe(403);
    expect((await yard.ask('GET', '/api/shelf-paper/count.pdf', { as: 'mechanic' })).status).toBe(200);
  });
});

it('a sheet to count with goes place by place, has room for full and open containers, and does not say what the book says', () => {
  const line = (name: string, place: string, unit: 'piece' | 'litre' = 'piece', sizes: number[] = []) => ({
    name,
    place,
    unit,
    sizes,
    number: '',
  });
  const paper = countPaper(
    [
      {
        shed: null,
        lines: [line('Plug', 'Bin 10'), line('Oil', 'Bin 2', 'litre', [5, 20]), line('Rag', '')],
      },
    ],
    '2027-05-13',
    'metric',
  );
  const texts = partsOf(paper, 'text');
  const order = ['Bin 2', 'Oil', 'Bin 10', 'Plug', 'Without a place', 'Rag'];
  expect(texts.filter((text) => order.includes(text))).toEqual(order);
  expect(texts).toContain('____ × 5\u00a0L   ____ × 20\u00a0L');
});

describe('sheets to count with, where stock lies in several sheds', () => {
  const counted = (name: string, sheds: ArticleDto['sheds'], isRetired = false) => ({
    name,
    sheds,
    isRetired,
    number: '',
    place: 'Bin 1',
    unit: 'piece' as const,
    lots: [],
    onHand: sheds.reduce((sum, { quantity }) => sum + quantity, 0),
  });
  const north = { shed: 'North shed', quantity: 3 };
  const yardStock = { shed: 'Nursery yard', quantity: 1 };
  const articles = [
    counted('Plug', [yardStock, north]),
    counted('Belt', [north]),
    counted('Rag', []),
    counted('Blade', [{ shed: null, quantity: 2 }]),
    counted('Old filter', [], true),
  ];

  it('are of one shed each, of what lies there and what lies nowhere', () => {
    const parts = countParts(articles, ['North shed', 'Nursery yard', 'Boat house']);
    expect(parts.map(({ shed, lines }) => [shed, lines.map(({ name }) => name)])).toEqual([
      ['North shed', ['Plug', 'Belt', 'Rag']],
      ['Nursery yard', ['Plug', 'Rag']],
      ['Boat house', ['Rag']],
      [NO_SHED, ['Blade']],
    ]);
  });

  it('are one where sheds are not told apart', () => {
    const parts = countParts(articles, []);
    expect(parts.map(({ shed, lines }) => [shed, lines.length])).toEqual([[null, 4]]);
  });

  it('say their shed, have room for what is found there besides, and begin a page each', () => {
    const paper = countPaper(countParts(articles, ['North shed', 'Nursery yard']), '2027-05-13', 'metric');
    const texts = partsOf(paper, 'text');
    expect(texts.filter((text) => text.startsWith('Count of the shelf'))).toEqual([
      'Count of the shelf: North shed',
      'Count of the shelf: Nursery yard',
      `Count of the shelf: ${NO_SHED}`,
    ]);
    expect(texts.filter((text) => text === 'Found here besides')).toHaveLength(3);
    expect(JSON.stringify(paper).match(/"pageBreak":"before"/g)).toHaveLength(2);
  });
});
