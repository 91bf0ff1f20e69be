import { problem, ProblemError } from '@nuvar/book';
import { VIEWS, type Evaluation } from '@nuvar/core';
import { landedPdf } from './landed-pdf.js';
import { landedXlsx } from './landed-xlsx.js';
import type { DocumentFormat } from './requests.js';

/** Writes the landed cost sheet of a shipment. Throws `not-found` where there is no such shipment. */
export function makeDocument(evaluation: Evaluation, shipmentId: string, format: DocumentFormat): Promise<Buffer> {
  const sheet = VIEWS.landedSheet(evaluation, shipmentId);
  if (sheet === null) throw new ProblemError([problem('not-found')]);
  return format === 'pdf' ? landedPdf(sheet) : landedXlsx(sheet);
}
