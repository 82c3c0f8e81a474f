import type { Paper } from '@yugator/contracts';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import pdfmake from 'pdfmake';
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces.js';

const PAGE_SIZE = { a4: 'A4', letter: 'LETTER' } as const;
const FONTS_ONLY = /[/\\]pdfmake[/\\]fonts[/\\]/;

// The font files lie beside the package; it has no types for them.
const folder = join(
  dirname(createRequire(import.meta.url).resolve('pdfmake/package.json')),
  'fonts',
  'Roboto',
);
pdfmake.setFonts({
  Roboto: {
    normal: join(folder, 'Roboto-Regular.ttf'),
    bold: join(folder, 'Roboto-Medium.ttf'),
    italics: join(folder, 'Roboto-Italic.ttf'),
    bolditalics: join(folder, 'Roboto-MediumItalic.ttf'),
  },
});
// Paper shows what it is given: no pictures or files from elsewhere.
pdfmake.setUrlAccessPolicy(() => false);
pdfmake.setLocalAccessPolicy((path) => FONTS_ONLY.test(path));

/** Black on white, with page numbers and a line beneath that says what it is. */
export function paperOf(paper: Paper, title: string, content: Content[]): TDocumentDefinitions {
  return {
    info: { title, creator: 'Yugator', producer: 'Yugator' },
    pageSize: PAGE_SIZE[paper],
    pageMargins: [36, 32, 36, 40],
    defaultStyle: { font: 'Roboto', fontSize: 10, lineHeight: 1.15 },
    styles: {
      title: { fontSize: 18, bold: true },
      head: { fontSize: 11, bold: true, margin: [0, 6, 0, 2] },
      phase: { fontSize: 9.5, bold: true, margin: [0, 2, 0, 1] },
      dense: { fontSize: 8.5, lineHeight: 1.1 },
      small: { fontSize: 7.5 },
      strong: { bold: true },
    },
    footer: (page, pages) => ({
      margin: [36, 12],
      fontSize: 8,
      columns: [
        `${title}. The maker's manual and local rules come first.`,
        { text: `${page} / ${pages}`, alignment: 'right', width: 50 },
      ],
    }),
    content,
  };
}

export function toPdf(definition: TDocumentDefinitions): Promise<Buffer> {
  return pdfmake.createPdf(definition).getBuffer();
}
