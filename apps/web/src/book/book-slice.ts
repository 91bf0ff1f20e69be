import { applyChange, type Change, type Problem, type StoredRow, type Write } from '@nuvar/book';
import type { Override } from '@nuvar/core';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { NO_TABLES, readerOf, withWrites, type Tables } from './tables.js';

export type Role = 'owner' | 'editor' | 'reader';

/** One of this person's own changes, ready to be taken back. */
export interface UndoEntry {
  readonly changeId: string;
  readonly writes: readonly Write[];
  readonly label: string;
}

/** A change for which somebody else was faster. The person chooses, value by value. */
export interface Conflict {
  readonly change: Change;
  readonly problems: readonly Problem[];
  readonly rows: readonly { readonly kind: string; readonly row: StoredRow | null }[];
}

/** How it stands with the server. */
export type Link = 'well' | 'sending' | 'away' | 'signed-out' | 'gone';

export interface BookState {
  readonly id: string | null;
  readonly role: Role;
  /** The revision of the server up to which `confirmed` has come. */
  readonly revision: number;
  /** The rows as the server has them. */
  readonly confirmed: Tables;
  /** Changes that the server has not answered yet, in their order. */
  readonly pending: readonly Change[];
  /** What the person sees: the confirmed rows with the waiting changes on top. */
  readonly rows: Tables;
  readonly undo: readonly UndoEntry[];
  readonly redo: readonly UndoEntry[];
  readonly link: Link;
  readonly conflict: Conflict | null;
  /** Values that are tried and not kept: they lie over the book until they are accepted or dropped. */
  readonly trial: readonly Override[];
}

const initialState: BookState = {
  id: null,
  role: 'reader',
  revision: 0,
  confirmed: NO_TABLES,
  pending: [],
  rows: NO_TABLES,
  undo: [],
  redo: [],
  link: 'well',
  conflict: null,
  trial: [],
};

const slice = createSlice({
  name: 'book',
  initialState: initialState as BookState,
  reducers: {
    opened: (
      _state,
      {
        payload,
      }: PayloadAction<Pick<BookState, 'id' | 'role' | 'revision' | 'confirmed' | 'pending' | 'undo' | 'redo'>>,
    ) => ({
      ...initialState,
      ...payload,
      rows: rebased(payload.confirmed, payload.pending),
    }),
    closed: () => initialState,
    edited: (state, { payload }: PayloadAction<{ change: Change; writes: readonly Write[] }>) => ({
      ...state,
      pending: [...state.pending, payload.change],
      rows: withWrites(state.rows as Tables, payload.writes),
    }),
    stacked: (state, { payload }: PayloadAction<Pick<BookState, 'undo' | 'redo'>>) => ({ ...state, ...payload }),
    /** The server has come to a revision: its rows, and the changes that still wait for it. */
    confirmed: (
      state,
      { payload }: PayloadAction<{ revision: number; confirmed: Tables; settled: readonly string[] }>,
    ) => {
      const pending = state.pending.filter((change) => !payload.settled.includes(change.id)) as readonly Change[];
      return {
        ...state,
        revision: payload.revision,
        confirmed: payload.confirmed,
        pending,
        rows: rebased(payload.confirmed, pending),
      };
    },
    /** A waiting change goes in another form, or not at all. */
    rewritten: (state, { payload }: PayloadAction<{ id: string; change: Change | null }>) => {
      const pending = state.pending.flatMap((each) =>
        each.id !== payload.id ? [each] : (payload.change ?? []),
      ) as readonly Change[];
      return { ...state, conflict: null, pending, rows: rebased(state.confirmed as Tables, pending) };
    },
    linked: (state, { payload }: PayloadAction<Link>) => ({ ...state, link: payload }),
    conflicted: (state, { payload }: PayloadAction<Conflict>) => ({ ...state, conflict: payload }),
    tried: (state, { payload }: PayloadAction<readonly Override[]>) => ({ ...state, trial: payload }),
  },
});

/** The rows with the waiting changes on top. A change that no longer fits is left to the server to answer. */
function rebased(confirmed: Tables, pending: readonly Change[]): Tables {
  return pending.reduce((tables, change) => {
    const applied = applyChange(readerOf(tables), change);
    return applied.ok ? withWrites(tables, applied.writes) : tables;
  }, confirmed);
}

export const bookReducer = slice.reducer;
export const bookActions = slice.actions;
