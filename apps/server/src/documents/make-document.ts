import { problem, ProblemError } from '@nuvar/book';
import { VIEWS, type Evaluation } from '@nuvar/core';
import type { DocumentJob } from '../threads/jobs.js';
import { costCardsPdf } from './cost-cards-pdf.js';
import { landedPdf } from './landed-pdf.js';
import { landedXlsx } from './landed-xlsx.js';

/** Writes a document. Throws `not-found` where there is nothing of what it is asked for, or not in that format. */
export function makeDocument(
  evaluation: Evaluation,
  { document, of, format, by }: Pick<DocumentJob, 'document' | 'of' | 'format' | 'by'>,
): Promise<Buffer> {
  if (document === 'cost cards') {
    const cards = VIEWS.costCardSheet(evaluation, of);
    if (cards === null || format !== 'pdf') throw new ProblemError([problem('not-found')]);
    return costCardsPdf(cards, by);
  }
  const sheet = VIEWS.landedSheet(evaluation, of);
  if (sheet === null) throw new ProblemError([problem('not-found')]);
  return format === 'pdf' ? landedPdf(sheet) : landedXlsx(sheet);
}
