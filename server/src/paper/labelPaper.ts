import { LABELS_OF_SHEET } from '@yugator/contracts';
import type { Paper, ServiceLabelDto } from '@yugator/contracts';
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces.js';

export const POINTS_OF_MM = 72 / 25.4;

/** Where labels stand on a sheet. */
export interface Grid {
  readonly columns: number;
  /** points */
  readonly width: number;
  readonly height: number;
  readonly left: number;
  readonly top: number;
  readonly gap: number;
}

/** Where a label stands, counted from 0 across and down; `page` is broken before the first of a sheet. */
export function placeOn(
  { columns, width, height, left, top, gap }: Grid,
  perSheet: number,
  place: number,
): { x: number; y: number; isFirst: boolean } {
  const [row, column] = [Math.floor((place % perSheet) / columns), place % columns];
  return {
    x: left + column * (width + gap),
    y: top + row * height,
    isFirst: place > 0 && place % perSheet === 0,
  };
}

/** Common sheets: A4 with 3 × 8 labels of 70 × 37 mm, Letter with 3 × 10 of 2 5/8 × 1 in (common practice). */
export const GRIDS: Record<Paper, Grid> = {
  a4: {
    columns: 3,
    width: 70 * POINTS_OF_MM,
    height: 37 * POINTS_OF_MM,
    left: 0,
    top: 0.5 * POINTS_OF_MM,
    gap: 0,
  },
  letter: { columns: 3, width: 189, height: 72, left: 13.5, top: 36, gap: 9 },
};

/** A sheet of labels: each stands where its place says, and nothing else on it. */
export function labelSheet(title: string, paper: Paper, content: Content[]): TDocumentDefinitions {
  return {
    info: { title, creator: 'Yugator', producer: 'Yugator' },
    pageSize: paper === 'a4' ? 'A4' : 'LETTER',
    pageMargins: 0,
    defaultStyle: { font: 'Roboto', lineHeight: 1.1 },
    content,
  };
}

/** Labels on a sheet, beginning at the label `from` (1 is the first), so that a sheet that was begun is used up. */
export function labelPaper(
  labels: readonly ServiceLabelDto[],
  paper: Paper,
  from: number,
): TDocumentDefinitions {
  const grid = GRIDS[paper];
  const perSheet = LABELS_OF_SHEET[paper];
  const content = labels.map(({ title, lines }, index): Content => {
    const { x, y, isFirst } = placeOn(grid, perSheet, from - 1 + index);
    return {
      absolutePosition: { x: x + 12, y: y + 12 },
      columns: [
        {
          width: grid.width - 24,
          stack: [
            { text: title, bold: true, fontSize: 13 },
            ...lines.map((text) => ({ text, fontSize: 10 })),
          ],
        },
      ],
      ...(isFirst && index > 0 ? { pageBreak: 'before' as const } : {}),
    };
  });
  return labelSheet('Labels', paper, content);
}
