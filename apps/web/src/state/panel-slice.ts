import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** One opened figure: the way from the figure that was clicked down to the one that is shown. */
export interface OpenedFigure {
  readonly id: number;
  readonly trail: readonly string[];
  readonly pinned: boolean;
}

const slice = createSlice({
  name: 'panel',
  initialState: { next: 1, opened: [] as OpenedFigure[] },
  reducers: {
    figureOpened: (state, { payload }: PayloadAction<string>) => {
      state.opened = [
        ...state.opened.filter((each) => each.pinned),
        { id: state.next, trail: [payload], pinned: false },
      ];
      state.next += 1;
    },
    /** Goes to another figure within one opened working: down to a part, or back up its trail. */
    trailChanged: (state, { payload }: PayloadAction<{ id: number; trail: string[] }>) => {
      state.opened = state.opened.map((each) => (each.id === payload.id ? { ...each, trail: payload.trail } : each));
    },
    pinToggled: (state, { payload }: PayloadAction<number>) => {
      state.opened = state.opened.map((each) => (each.id === payload ? { ...each, pinned: !each.pinned } : each));
    },
    figureClosed: (state, { payload }: PayloadAction<number>) => {
      state.opened = state.opened.filter((each) => each.id !== payload);
    },
    unpinnedClosed: (state) => {
      state.opened = state.opened.filter((each) => each.pinned);
    },
    allClosed: (state) => {
      state.opened = [];
    },
  },
});

export const panelReducer = slice.reducer;
export const { figureOpened, trailChanged, pinToggled, figureClosed, unpinnedClosed, allClosed } = slice.actions;
