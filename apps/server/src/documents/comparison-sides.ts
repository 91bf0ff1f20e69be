import { type LedgerStates, problem, ProblemError, rowsByKind, rowsOfColumns } from '@nuvar/book';
import { evaluate, layWhatIf, type Evaluation } from '@nuvar/core';
import type { FrozenRows } from '../book/frozen-rows.js';

/** A side of a comparison, as a document names it. */
export interface NamedSide {
  readonly label: string;
  readonly evaluation: Evaluation;
}

/** What a side that is kept beside the book is fetched by. */
export interface SideSources {
  readonly frozen: (id: string) => Promise<FrozenRows>;
  readonly statesOn: (day: string) => Promise<LedgerStates>;
}

/**
 * The sides that a comparison names: the book, a what-if over it, a baseline, or the book as of another day with what its
 * ledgers had come to then. Throws `not-found` where there is no such what-if or baseline.
 */
export async function sidesOf(book: Evaluation, of: string, sources: SideSources): Promise<NamedSide[]> {
  const names = (of.split('@')[0] ?? '').split(',');
  const sides: NamedSide[] = [];
  for (const name of names) sides.push(await sideOf(book, name, sources));
  return sides;
}

async function sideOf(book: Evaluation, name: string, { frozen, statesOn }: SideSources): Promise<NamedSide> {
  const [type = '', id = ''] = name.split('/');
  if (type === 'whatIf') {
    const whatIf = book.sheet.row('whatIf', id);
    if (whatIf === undefined) throw new ProblemError([problem('not-found')]);
    return { label: whatIf.name, evaluation: book.fork(layWhatIf(book.rows, id).overrides) };
  }
  if (type === 'frozen') {
    const { asOf, rows, name: label } = await frozen(id);
    return { label: `${label} (frozen)`, evaluation: evaluate(rowsOfColumns(rows), asOf) };
  }
  if (type === 'day') {
    return { label: id, evaluation: evaluate({ ...rowsByKind(book.rows), ...(await statesOn(id)) }, id) };
  }
  return { label: 'The book', evaluation: book };
}
