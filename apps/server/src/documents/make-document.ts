import { problem, ProblemError } from '@nuvar/book';
import { VIEWS, type Evaluation } from '@nuvar/core';
import type { DocumentJob } from '../threads/jobs.js';
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
): Promise<Buffer> {
  const made = await MAKERS[document](evaluation, of, format, by);
  if (made === null) throw new ProblemError([problem('not-found')]);
  return made;
}

/** Writes one kind of document; null where there is nothing of what it is asked for, or not in that format. */
type Maker = (
  evaluation: Evaluation,
  of: string,
  format: DocumentJob['format'],
  by: DocumentJob['by'],
) => Promise<Buffer | null> | Buffer | null;

const MAKERS: Readonly<Record<DocumentJob['document'], Maker>> = {
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
