import { fieldValue } from '@nuvar/book';
import { useCallback, useRef } from 'react';
import { useEdit } from '../../book/use-book.js';
import { noticed } from '../../state/notices-slice.js';
import { useAppDispatch } from '../../state/store.js';
import type { GridWriter } from './grid-model.js';

/** A cell that is to have the focus as soon as it is drawn. */
interface CellToGoTo {
  readonly id: string;
  readonly column: string | null;
}

/** Removes and duplicates rows of a grid; the copy is to be gone to, and what became of it is said. */
export function useRowActions<Row extends { readonly id: string }, Patch>(writer: GridWriter<Row, Patch> | undefined) {
  const edit = useEdit();
  const dispatch = useAppDispatch();
  const goTo = useRef<CellToGoTo | null>(null);
  const act = useCallback(
    (row: Row, what: 'remove' | 'duplicate', column: string | null) => {
      const operations = writer?.[what]?.(row) ?? [];
      const problem = edit(operations)[0];
      if (problem !== undefined) {
        const { kind, rowId, code, sentence } = problem;
        const canArchive = code === 'still-used' && (kind === 'material' || kind === 'product') && rowId !== undefined;
        dispatch(
          noticed({
            sentence,
            tone: 'problem',
            ...(canArchive ? { question: { action: 'archive', kind, rowId } } : {}),
          }),
        );
        return;
      }
      const copy = operations[0]?.action === 'create' ? operations[0].row : undefined;
      if (what !== 'duplicate' || copy === undefined) return;
      goTo.current = { id: copy.id, column };
      const name = fieldValue(copy, 'name');
      dispatch(noticed({ sentence: `Duplicated${typeof name === 'string' && name !== '' ? ` as ${name}` : ''}.` }));
    },
    [writer, edit, dispatch],
  );
  return { act, goTo };
}

/** Puts the focus into a cell of a grid, where it is drawn; returns whether it was. */
export function focusCell(within: HTMLElement | null, { id, column }: CellToGoTo): boolean {
  const row = within?.querySelector<HTMLElement>(`[data-grid-row="${id}"]`);
  const cell = column === null ? row : row?.querySelector(`[data-column="${column}"]`);
  const field = (cell ?? row)?.querySelector<HTMLElement>('input, select, button');
  field?.focus();
  return field != null;
}
