import { createRequire } from 'node:module';
import { dirname } from 'node:path';
import pdfmake from 'pdfmake';
import type { TDocumentDefinitions } from 'pdfmake/interfaces.js';

const FONTS = dirname(createRequire(import.meta.url).resolve('dejavu-fonts-ttf/ttf/DejaVuSans.ttf'));

pdfmake.setFonts({
  DejaVu: {
    normal: `${FONTS}/DejaVuSansCondensed.ttf`,
    bold: `${FONTS}/DejaVuSansCondensed-Bold.ttf`,
    italics: `${FONTS}/DejaVuSansCondensed-Oblique.ttf`,
    bolditalics: `${FONTS}/DejaVuSansCondensed-BoldOblique.ttf`,
  },
});
// A document holds what is given: nothing is fetched for it, and no file read but its fonts.
pdfmake.setUrlAccessPolicy(() => false);
pdfmake.setLocalAccessPolicy((path: string) => path.startsWith(FONTS));

/** What all documents look alike in: paper, fonts, head and foot of each page. */
const STYLE: Partial<TDocumentDefinitions> = {
  pageSize: 'A4',
  pageMargins: [40, 48, 40, 44],
  defaultStyle: { font: 'DejaVu', fontSize: 8.5, lineHeight: 1.2 },
  styles: {
    title: { fontSize: 17, bold: true, margin: [0, 0, 0, 2] },
    heading: { fontSize: 10.5, bold: true, margin: [0, 14, 0, 4] },
    soft: { color: '#5c5660' },
    head: { color: '#5c5660', fontSize: 7.5 },
    total: { bold: true },
  },
};

/** Writes a document as PDF. `foot` stands at the foot of each page, with its number. */
export async function pdfOf(document: TDocumentDefinitions, foot: string): Promise<Buffer> {
  const made = pdfmake.createPdf({
    ...STYLE,
    ...document,
    footer: (page, pages) => ({
      columns: [
        { text: foot, style: 'soft' },
        { text: `${page} / ${pages}`, alignment: 'right', style: 'soft' },
      ],
      margin: [40, 12, 40, 0],
      fontSize: 7.5,
    }),
  });
  return made.getBuffer();
}
