import { IsIn, IsUUID } from 'class-validator';

/** The documents that can be asked for, and the forms in which they come. */
export const DOCUMENTS = ['landed cost'] as const;
export const FORMATS = ['pdf', 'xlsx'] as const;
export type DocumentFormat = (typeof FORMATS)[number];

/** Which document of what, and in which form. */
export class DocumentRequest {
  @IsIn(DOCUMENTS, { message: `The document must be one of: ${DOCUMENTS.join(', ')}.` })
  document!: (typeof DOCUMENTS)[number];

  /** The row that it is of: for a landed cost sheet the shipment. */
  @IsUUID('all', { message: 'The document needs the id of what it is of.' })
  of!: string;

  @IsIn(FORMATS, { message: `The format must be one of: ${FORMATS.join(', ')}.` })
  format!: DocumentFormat;
}
