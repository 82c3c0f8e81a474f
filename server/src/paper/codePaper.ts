import { CODES_OF_SHEET } from '@yugator/contracts';
import type { CodeSize, MachineCodeDto, Paper } from '@yugator/contracts';
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces.js';
import QRCode from 'qrcode';
import { GRIDS, labelSheet, placeOn, POINTS_OF_MM } from './labelPaper.js';
import type { Grid } from './labelPaper.js';

/** Common sheets: A4 with 2 × 4 labels of 99.1 × 67.7 mm, Letter with 2 × 5 of 4 × 2 in (common practice). */
const LARGE: Record<Paper, Grid> = {
  a4: {
    columns: 2,
    width: 99.1 * POINTS_OF_MM,
    height: 67.7 * POINTS_OF_MM,
    left: 4.65 * POINTS_OF_MM,
    top: 13.1 * POINTS_OF_MM,
    gap: 2.5 * POINTS_OF_MM,
  },
  letter: { columns: 2, width: 288, height: 144, left: 11.25, top: 36, gap: 13.5 },
};

const EDGE = 9;

/** A code that is still read with a scratch across it: a quarter of it may be lost (ISO/IEC 18004, level Q). */
function codeOf(address: string): Promise<string> {
  return QRCode.toString(address, { type: 'svg', margin: 0, errorCorrectionLevel: 'Q' });
}

/** Stickers for machines, beginning at the label `from` (1 is the first): plate, name, and the code of its page. */
export async function codePaper(
  codes: readonly MachineCodeDto[],
  paper: Paper,
  size: CodeSize,
  from: number,
): Promise<TDocumentDefinitions> {
  const grid = size === 'large' ? LARGE[paper] : GRIDS[paper];
  const perSheet = CODES_OF_SHEET[paper][size];
  const side = grid.height - 2 * EDGE;
  const content: Content[] = [];
  for (const [index, { tag, name, address }] of codes.entries()) {
    const { x, y, isFirst } = placeOn(grid, perSheet, from - 1 + index);
    content.push({
      absolutePosition: { x: x + EDGE, y: y + EDGE },
      columns: [
        { width: side, svg: await codeOf(address), fit: [side, side] },
        {
          width: grid.width - side - 3 * EDGE,
          margin: [EDGE, 0, 0, 0],
          stack: [
            { text: tag, bold: true, fontSize: size === 'large' ? 34 : 22 },
            { text: name, fontSize: size === 'large' ? 14 : 10 },
          ],
        },
      ],
      ...(isFirst && index > 0 ? { pageBreak: 'before' as const } : {}),
    });
  }
  return labelSheet('Codes of machines', paper, content);
}
