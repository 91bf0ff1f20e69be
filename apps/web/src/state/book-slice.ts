import type { Change, Role, Problem, StoredRow, Write, Override } from '@nuvar/book';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** A value that is tried for a field, and not kept. */
export type Tried = Extract<Override, { readonly how: 'set' }>;

/** One of this person's own changes, ready to be taken back. */
export interface UndoEntry {
  readonly changeId: string;
  readonly writes: readonly Write[];
  readonly label: string;
  /** Of a change of many rows that was made before the page was opened: the piece with which its writes go on. */
  readonly rest?: { readonly revision: number; readonly piece: number };
}

/** An edit that the server could not store, with what it did in one line and when it was set aside. */
export interface SetAside {
  readonly change: Change;
  readonly label: string;
  readonly at: string;
}

/** A change for which somebody else was faster. The person chooses, value by value. */
export interface Conflict {
  readonly change: Change;
  readonly problems: readonly Problem[];
  readonly rows: readonly { readonly kind: string; readonly row: StoredRow | null }[];
}

/** What was typed into a field and refused: it stays there with the reason until it is put right or taken back. */
export interface Refused {
  /** The field: "id.field". */
  readonly place: string;
  /** What the field is called on its screen. */
  readonly label: string;
  readonly text: string;
  readonly sentence: string;
}

/** How it stands with the server. */
export type Link = 'well' | 'sending' | 'away' | 'failing' | 'signed-out' | 'gone';

/** How it stands with the open book. Its rows are in the model beside this file. */
export interface BookState {
  readonly id: string | null;
  readonly role: Role;
  /** The revision of the server up to which the confirmed rows have come. */
  readonly revision: number;
  /** Changes that the server has not answered yet, in their order. */
  readonly pending: readonly Change[];
  readonly undo: readonly UndoEntry[];
  readonly redo: readonly UndoEntry[];
  readonly link: Link;
  readonly conflict: Conflict | null;
  /** Edits that the server could not store, and that wait on this machine for a decision. */
  readonly aside: readonly SetAside[];
  /** Refused texts, by the place of their field. */
  readonly refused: Readonly<Record<string, Refused>>;
  /** The day as of which the figures are worked out; null for today. */
  readonly asOf: string | null;
  /** The what-if that is open: edits go to it in place of the book. Null for the book itself. */
  readonly whatIf: string | null;
  /** Values that are tried and not kept: they lie over the book until they are accepted or dropped. */
  readonly trial: readonly Tried[];
}

const initialState: BookState = {
  id: null,
  role: 'reader',
  revision: 0,
  pending: [],
  undo: [],
  redo: [],
  link: 'well',
  conflict: null,
  aside: [],
  refused: {},
  asOf: null,
  whatIf: null,
  trial: [],
};

const slice = createSlice({
  name: 'book',
  initialState: initialState as BookState,
  reducers: {
    opened: (
      _state,
      { payload }: PayloadAction<Pick<BookState, 'id' | 'role' | 'revision' | 'pending' | 'aside' | 'undo' | 'redo'>>,
    ) => ({
      ...initialState,
      ...payload,
    }),
    closed: () => initialState,
    edited: (state, { payload }: PayloadAction<Change>) => ({ ...state, pending: [...state.pending, payload] }),
    stacked: (state, { payload }: PayloadAction<Pick<BookState, 'undo' | 'redo'>>) => ({ ...state, ...payload }),
    /** The server has come to a revision; these changes still wait for it. */
    confirmed: (state, { payload }: PayloadAction<Pick<BookState, 'revision' | 'pending'>>) => ({
      ...state,
      ...payload,
    }),
    /** A waiting change goes in another form, or not at all. */
    rewritten: (state, { payload }: PayloadAction<readonly Change[]>) => ({
      ...state,
      conflict: null,
      pending: payload,
    }),
    asideBecame: (state, { payload }: PayloadAction<readonly SetAside[]>) => ({ ...state, aside: payload }),
    refused: (state, { payload }: PayloadAction<readonly Refused[]>) => ({
      ...state,
      refused: { ...state.refused, ...Object.fromEntries(payload.map((each) => [each.place, each])) },
    }),
    putRight: (state, { payload }: PayloadAction<string>) => {
      const { [payload]: _settled, ...refused } = state.refused;
      return { ...state, refused };
    },
    dayChosen: (state, { payload }: PayloadAction<string | null>) => ({ ...state, asOf: payload }),
    whatIfOpened: (state, { payload }: PayloadAction<string | null>) => ({ ...state, whatIf: payload, trial: [] }),
    linked: (state, { payload }: PayloadAction<Link>) => ({ ...state, link: payload }),
    conflicted: (state, { payload }: PayloadAction<Conflict>) => ({ ...state, conflict: payload }),
    /** Tries one more value; the one that was tried for the same field before gives way. */
    tried: (state, { payload }: PayloadAction<Tried>) => {
      const others = state.trial.filter((each) => each.id !== payload.id || each.field !== payload.field);
      return { ...state, trial: [...others, payload] };
    },
    trialDropped: (state) => (state.trial.length === 0 ? state : { ...state, trial: [] }),
  },
});

export const bookReducer = slice.reducer;
export const bookActions = slice.actions;
