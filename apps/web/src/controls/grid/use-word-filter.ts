import { useMemo, useState } from 'react';
import { isInput, type Column, type ListFilter } from './grid-model.js';
import { holdsAll, wordsOf } from '../fields/words.js';

/** A list of fewer rows is seen at a glance. */
const MANY = 15;

/**
 * The filter of a grid whose screen gives it none, where there are many rows: what holds all the typed words in any of its
 * texts. Undefined where there are few.
 */
export function useWordFilter<Row, Patch>(
  title: string,
  columns: readonly Column<Row, Patch>[],
  count: number,
): ListFilter<Row> | undefined {
  const [words, setWords] = useState('');
  const isOffered = count > MANY || words !== '';
  return useMemo(() => {
    if (!isOffered) return undefined;
    const textOf = (row: Row) =>
      columns.map((column) => (isInput(column) || column.type === 'shown' ? (column.text?.(row) ?? '') : '')).join(' ');
    const matches = (row: Row, typed: string) => holdsAll(textOf(row), wordsOf(typed));
    return { label: `Filter ${title}`, words, onChange: setWords, matches };
  }, [title, columns, isOffered, words]);
}
