import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** A word to the person at the foot of the screen. */
export interface Notice {
  readonly id: number;
  readonly sentence: string;
  readonly tone?: 'problem';
  /** Asks whether to take a change back although it has moved on since, or to archive what cannot be removed. */
  readonly question?:
    | { readonly action: 'force'; readonly stack: 'undo' | 'redo' }
    | { readonly action: 'archive'; readonly kind: 'material' | 'product'; readonly rowId: string };
}

const slice = createSlice({
  name: 'notices',
  initialState: { next: 1, list: [] as Notice[] },
  reducers: {
    noticed: (state, { payload }: PayloadAction<Omit<Notice, 'id'>>) => {
      state.list = [...state.list.slice(-2), { ...payload, id: state.next }];
      state.next += 1;
    },
    dismissed: (state, { payload }: PayloadAction<number>) => {
      state.list = state.list.filter((notice) => notice.id !== payload);
    },
  },
});

export const noticesReducer = slice.reducer;
export const { noticed, dismissed } = slice.actions;
