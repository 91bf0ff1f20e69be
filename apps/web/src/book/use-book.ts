import { fieldValue, inOrder, type Kind, type Operation, type Problem, type RowOf, type StoredRow } from '@nuvar/book';
import { useCallback, useMemo, useSyncExternalStore } from 'react';
import { useAppDispatch, useAppSelector } from '../state/store.js';
import { edit } from './edit.js';
import { model } from './model.js';

/** The address of the open book, under which its screens stand. */
export function useBookPath(): string {
  return useAppSelector(({ book }) => `/books/${book.id ?? ''}`);
}

export function useRow<K extends Kind>(kind: K, id: string | null | undefined): StoredRow<K> | undefined {
  return useSyncExternalStore(model.subscribe, () => (id == null ? undefined : model.rows.row(kind, id)));
}

/** A number that becomes another whenever a row of one of these kinds has changed. */
export function useVersion(...kinds: readonly Kind[]): number {
  return useSyncExternalStore(model.subscribe, () => kinds.reduce((sum, kind) => sum + model.versionOf(kind), 0));
}

/** All rows of a kind, in the order in which they are shown. */
export function useAll<K extends Kind>(kind: K): readonly StoredRow<K>[] {
  const version = useVersion(kind);
  // eslint-disable-next-line react-hooks/exhaustive-deps -- the rows are those of this version
  return useMemo(() => inOrder(model.rows.all(kind)), [kind, version]);
}

/** The products or materials that are not archived, in their order. */
export function useUnarchived<K extends 'product' | 'material'>(kind: K): readonly StoredRow<K>[] {
  const rows = useAll(kind);
  return useMemo(() => rows.filter((row) => !row.archived && !isQuoted(row)), [rows]);
}

/** True for a product that exists for a quote alone. */
const isQuoted = (row: object): boolean => fieldValue(row, 'quoted') === true;

/** How many rows of a kind there are. */
export function useCount(kind: Kind): number {
  return useSyncExternalStore(model.subscribe, () => model.rows.count(kind));
}

/** The rows of a kind that point to a row, in their order. */
export function useRowsOf<K extends Kind>(
  kind: K,
  field: keyof RowOf<K> & string,
  id: string,
): readonly StoredRow<K>[] {
  const version = useVersion(kind);
  // eslint-disable-next-line react-hooks/exhaustive-deps -- the rows are those of this version
  return useMemo(() => inOrder(model.rows.rowsWith(kind, field, id)), [kind, field, id, version]);
}

/** The settings of the open book. Screens of a book are shown only when it is open, so they are there. */
export function useSettings(): StoredRow<'settings'> {
  return useRow(
    'settings',
    useAppSelector(({ book }) => book.id),
  ) as StoredRow<'settings'>;
}

/** Makes an edit; gives back the problems that stand against it. */
export function useEdit(): (operations: readonly Operation[]) => readonly Problem[] {
  const dispatch = useAppDispatch();
  return useCallback((operations) => dispatch(edit(operations)), [dispatch]);
}

export function useMayEdit(): boolean {
  return useAppSelector(({ book }) => book.role !== 'reader');
}
