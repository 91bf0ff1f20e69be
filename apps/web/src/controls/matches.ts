import type { RowOf } from '@nuvar/book';

type Findable = Pick<RowOf<'material' | 'product'>, 'name' | 'code' | 'category' | 'tags' | 'archived'>;

/** More letters than any name has are not looked for. */
const MOST_LETTERS = 200;

/**
 * True where a row holds all the words that a list is narrowed by, in its name, code, category, tags or the other words
 * given. What is archived is found only by asking for it: "archived".
 */
export function matches(row: Findable, filter: string, ...others: readonly string[]): boolean {
  const words = filter.slice(0, MOST_LETTERS).trim().toLowerCase().split(/\s+/);
  if (row.archived !== words.includes('archived')) return false;
  const held = [row.name, row.code, row.category, row.tags, ...others].join(' ').toLowerCase();
  return words.every((word) => word === 'archived' || held.includes(word));
}
