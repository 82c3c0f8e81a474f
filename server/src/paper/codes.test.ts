import { CODES_OF_SHEET } from '@yugator/contracts';
import type { CodeSize, MachineRefDto, Paper } from '@yugator/contracts';
import jsqr from 'jsqr';
import sharp from 'sharp';
import { yardOfFile } from '../testing/testApp.js';
import { codePaper } from './codePaper.js';

// Its types speak of a module, and what is loaded is the function itself.
const jsQR = jsqr as unknown as typeof jsqr.default;

const yard = yardOfFile();

/** What a camera reads of a code that is drawn as SVG. */
async function scanned(svg: string): Promise<string | undefined> {
  const { data, info } = await sharp(Buffer.from(svg), { density: 300 })
    .flatten({ background: '#ffffff' })
    .extend({ top: 40, bottom: 40, left: 40, right: 40, background: '#ffffff' })
    .ensureAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  return jsQR(new Uint8ClampedArray(data), info.width, info.height)?.data;
}

/** The drawings in a paper, in order. */
function drawings(content: unknown): string[] {
  if (Array.isArray(content)) return content.flatMap(drawings);
  if (typeof content !== 'object' || content === null) return [];
  const svg: unknown = Reflect.get(content, 'svg');
  return [...(typeof svg === 'string' ? [svg] : []), ...drawings(Reflect.get(content, 'columns'))];
}

const code = (at: number) => ({
  tag: `T-${at}`,
  name: 'Loader tractor with a long name',
  address: `https://yard.local:8420/m/T-${at}`,
});

describe('the code on a machine', () => {
  it.each<[Paper, CodeSize]>([
    ['a4', 'small'],
    ['a4', 'large'],
    ['letter', 'small'],
    ['letter', 'large'],
  ])(
    'is read by a camera as the address of its page, on %s %s, and stays on its label',
    async (paper, size) => {
      const perSheet = CODES_OF_SHEET[paper][size];
      const codes = Array.from({ length: perSheet + 1 }, (_each, at) => code(at + 1));
      const { content } = await codePaper(codes, paper, size, 1);
      const read = [];
      for (const svg of drawings(content)) read.push(await scanned(svg));
      expect(read).toEqual(codes.map(({ address }) => address));
      const [width, height] = paper === 'a4' ? [595.28, 841.89] : [612, 792];
      const places = (content as { absolutePosition: { x: number; y: number }; pageBreak?: string }[]).map(
        ({ absolutePosition: { x, y }, pageBreak }) => ({ x, y, pageBreak }),
      );
      for (const { x, y } of places) {
        expect(x).toBeGreaterThanOrEqual(0);
        expect(x).toBeLessThan(width);
        expect(y).toBeLessThan(height);
      }
      expect(places.filter(({ pageBreak }) => pageBreak)).toEqual([{ ...places[0], pageBreak: 'before' }]);
    },
  );

  it('is still read with a bar across a tenth of it', async () => {
    const { content } = await codePaper([code(2)], 'a4', 'large', 1);
    const [svg = ''] = drawings(content);
    const side = Number(/viewBox="0 0 (\d+)/.exec(svg)?.[1]);
    const bar = `<rect x="${side * 0.4}" y="${side * 0.35}" width="${side * 0.06}" height="${side * 0.5}" fill="#888"/>`;
    expect(await scanned(svg.replace('</svg>', `${bar}</svg>`))).toBe(code(2).address);
  });

  it('is printed for one machine or for all, from any label on, and led to by the plate', async () => {
    const get = (path: string) => yard.ask<MachineRefDto>('GET', `/api/codes/${path}`, { as: 'operator' });
    for (const query of ['', '?paper=letter&size=large', `?machineId=${yard.crew.machine}&from=3`]) {
      const { status, headers } = await get(`stickers.pdf${query}`);
      expect([status, headers['content-type']]).toEqual([200, 'application/pdf']);
    }
    expect((await get('stickers.pdf?size=large&from=9')).status).toBe(422);
    expect((await get('stickers.pdf?size=huge')).status).toBe(422);
    expect((await get('T-1')).body).toEqual({ id: yard.crew.machine, tag: 'T-1', name: 'Mower T-1' });
    expect((await get('T-9')).status).toBe(404);
    expect((await get('%27%20OR%201=1')).status).toBe(404);
  });
});
