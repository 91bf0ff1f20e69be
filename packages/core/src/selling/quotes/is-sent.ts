import type { RowOf } from '@nuvar/book';

/** True where an option of a quote stays as it was sent: the quote has left its draft, and what it was offered at was kept. */
export const isSent = ({ state }: RowOf<'quote'>, { sentPrice }: RowOf<'quoteOption'>): boolean =>
  state !== 'draft' && sentPrice !== null;
