import { type Kind, type Operation, type Problem, type RowOf, type StoredRow } from '@nuvar/book';
import { createSelector } from '@reduxjs/toolkit';
import { useCallback, useMemo } from 'react';
import { useAppDispatch, useAppSelector } from '../app/store.js';
import { edit } from './edit.js';
import { inOrder, rowsWith, type Table } from './tables.js';

/** The address of the open book, under which its screens stand. */
export function useBookPath(): string {
  return useAppSelector(({ book }) => `/books/${book.id ?? ''}`);
}

export function useRow<K extends Kind>(kind: K, id: string | null | undefined): StoredRow<K> | undefined {
  return useAppSelector(({ book }) => (id == null ? undefined : (book.rows[kind] as Table<K>)[id]));
}

/** All rows of a kind, in the order in which they are shown. */
export function useAll<K extends Kind>(kind: K): readonly StoredRow<K>[] {
  const table = useAppSelector(({ book }) => book.rows[kind] as Table<K>);
  return useMemo(() => inOrder(Object.values(table)), [table]);
}

/** The rows of a kind that point to a row, in their order. */
export function useRowsOf<K extends Kind>(
  kind: K,
  field: keyof RowOf<K> & string,
  id: string,
): readonly StoredRow<K>[] {
  const table = useAppSelector(({ book }) => book.rows[kind] as Table<K>);
  return useMemo(() => inOrder(rowsWith(table, field, id)), [table, field, id]);
}

const selectSettings = createSelector(
  (table: Table<'settings'>) => table,
  (table) => Object.values(table)[0],
);

/** The settings of the open book. Screens of a book are shown only when it is open, so they are there. */
export function useSettings(): StoredRow<'settings'> {
  return useAppSelector(({ book }) => selectSettings(book.rows.settings)) as StoredRow<'settings'>;
}

/** Makes an edit; gives back the problems that stand against it. */
export function useEdit(): (operations: readonly Operation[]) => readonly Problem[] {
  const dispatch = useAppDispatch();
  return useCallback((operations) => dispatch(edit(operations)), [dispatch]);
}

export function useMayEdit(): boolean {
  return useAppSelector(({ book }) => book.role !== 'reader');
}
