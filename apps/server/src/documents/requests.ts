import { IsIn, Matches } from 'class-validator';

/** The documents that can be asked for, and the forms in which they come. */
export const DOCUMENTS = ['landed cost', 'cost cards', 'price list', 'quote', 'mix', 'comparison'] as const;
export type DocumentName = (typeof DOCUMENTS)[number];
export const FORMATS = ['pdf', 'xlsx', 'csv'] as const;
export type DocumentFormat = (typeof FORMATS)[number];

/** Which document of what, and in which form. */
export class DocumentRequest {
  @IsIn(DOCUMENTS, { message: `The document must be one of: ${DOCUMENTS.join(', ')}.` })
  document!: DocumentName;

  /** What it is of: the id of a shipment, a channel, a quote or a mix plan; of cost cards "product,product@method,method", or "*@" for all planned products; of a comparison its sides and the measure: "baseline,whatIf/id@margin". */
  @Matches(
    /^(\*|[0-9a-f,-]{36,80000}|(baseline|(whatIf|frozen|day)\/[0-9a-f-]{10,36})(,(baseline|(whatIf|frozen|day)\/[0-9a-f-]{10,36})){1,4})(@[0-9a-z, -]{0,200})?$/,
    {
      message: 'The document needs the id of what it is of.',
    },
  )
  of!: string;

  @IsIn(FORMATS, { message: `The format must be one of: ${FORMATS.join(', ')}.` })
  format!: DocumentFormat;
}
