import type { RowOf } from '@nuvar/book';
import { holdsAll, wordsOf } from '../fields/words.js';

type Findable = Pick<RowOf<'material' | 'product'>, 'name' | 'code' | 'category' | 'tags' | 'archived'>;

/**
 * True where a row holds all the words that a list is narrowed by, in its name, code, category, tags or the other words
 * given. What is archived is found only by asking for it: "archived".
 */
export function matches(row: Findable, filter: string, ...others: readonly string[]): boolean {
  const words = wordsOf(filter);
  if (row.archived !== words.includes('archived')) return false;
  const held = [row.name, row.code, row.category, row.tags, ...others].join(' ');
  return holdsAll(
    held,
    words.filter((word) => word !== 'archived'),
  );
}
