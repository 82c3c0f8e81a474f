import { LABELS_OF_SHEET } from '@yugator/contracts';
import type { Paper, ShelfLabelDto } from '@yugator/contracts';
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces.js';
import { barsOf } from './bars.js';
import { GRIDS, labelSheet, placeOn } from './labelPaper.js';

const EDGE = 12;
const BAR_HEIGHT = 26;
/** From the rim of a label to what stands on it: labels on A4 reach to the edge of the paper, where no printer prints. */
const RIM: Record<Paper, number> = { a4: 14, letter: 6 };

/** Labels for the shelf, beginning at the label `from` (1 is the first): name, number, place, and the code that a scanner reads. */
export function shelfLabelPaper(
  labels: readonly ShelfLabelDto[],
  paper: Paper,
  from: number,
): TDocumentDefinitions {
  const grid = GRIDS[paper];
  const width = grid.width - 2 * EDGE;
  const content = labels.flatMap(({ name, about, code }, index): Content[] => {
    const { x, y, isFirst } = placeOn(grid, LABELS_OF_SHEET[paper], from - 1 + index);
    const bars = barsOf(code);
    const label: Content = {
      absolutePosition: { x: x + EDGE, y: y + RIM[paper] },
      columns: [
        {
          width,
          stack: [
            { text: name, bold: true, fontSize: name.length > 28 ? 9 : 12 },
            { text: about, fontSize: 8 },
          ],
        },
      ],
      ...(isFirst && index > 0 ? { pageBreak: 'before' as const } : {}),
    };
    const below = y + grid.height - RIM[paper] - BAR_HEIGHT;
    return bars
      ? [label, { absolutePosition: { x: x + EDGE, y: below }, svg: bars, fit: [width, BAR_HEIGHT] }]
      : [label];
  });
  return labelSheet('Labels for the shelf', paper, content);
}
