import { problem, ProblemError } from '@nuvar/book';
import { VIEWS, type Evaluation } from '@nuvar/core';
import type { DocumentJob } from '../threads/jobs.js';
import { comparisonPdf } from './comparison-pdf.js';
import type { NamedSide } from './comparison-sides.js';
import { costCardsPdf } from './cost-cards-pdf.js';
import { landedPdf } from './landed-pdf.js';
import { landedXlsx } from './landed-xlsx.js';
import { mixPdf, mixXlsx } from './mix-documents.js';
import { mixReport } from './mix-report.js';
import { priceListCsv, priceListPdf, priceListXlsx } from './price-list.js';
import { quotePdf } from './quote-pdf.js';

/** Writes a document. Throws `not-found` where there is nothing of what it is asked for, or not in that format. */
export async function makeDocument(
  evaluation: Evaluation,
  { document, of, format, by }: Pick<DocumentJob, 'document' | 'of' | 'format' | 'by'>,
  sides: readonly NamedSide[] = [],
): Promise<Buffer> {
  const made = document === 'comparison' ? comparison(sides, of, format) : MAKERS[document](evaluation, of, format, by);
  const file = await made;
  if (file === null) throw new ProblemError([problem('not-found')]);
  return file;
}

/** Writes one kind of document; null where there is nothing of what it is asked for, or not in that format. */
type Maker = (
  evaluation: Evaluation,
  of: string,
  format: DocumentJob['format'],
  by: DocumentJob['by'],
) => Promise<Buffer | null> | Buffer | null;

/** Sides are several evaluations, and no more than a PDF is made of them: workbook and CSV are written by the page. */
const comparison = (sides: readonly NamedSide[], of: string, format: DocumentJob['format']) =>
  format === 'pdf' && sides.length > 1 ? comparisonPdf(sides, of.split('@')[1] ?? '') : null;

const MAKERS: Readonly<Record<Exclude<DocumentJob['document'], 'comparison'>, Maker>> = {
  'landed cost': (evaluation, of, format) => {
    const sheet = VIEWS.landedSheet(evaluation, of);
    if (sheet === null || format === 'csv') return null;
    return format === 'pdf' ? landedPdf(sheet) : landedXlsx(sheet);
  },
  'cost cards': (evaluation, of, format, by) => {
    const cards = VIEWS.costCardSheet(evaluation, of);
    return cards === null || format !== 'pdf' ? null : costCardsPdf(cards, by);
  },
  'price list': (evaluation, of, format) => {
    const list = VIEWS.priceList(evaluation, of);
    if (list === null) return null;
    if (format === 'pdf') return priceListPdf(list);
    return format === 'xlsx' ? priceListXlsx(list) : priceListCsv(list);
  },
  quote: (evaluation, of, format) => {
    const quote = VIEWS.quoteSheet(evaluation, of);
    return quote === null || format !== 'pdf' ? null : quotePdf(quote);
  },
  mix: async (evaluation, of, format) => {
    const report = format === 'csv' ? null : await mixReport(evaluation, of);
    if (report === null) return null;
    return format === 'pdf' ? mixPdf(report) : mixXlsx(report);
  },
};
