import { configureStore, type Action, type ThunkAction } from '@reduxjs/toolkit';
import { useDispatch, useSelector, useStore } from 'react-redux';
import { bookReducer } from './book-slice.js';
import { api } from './api.js';
import { noticesReducer } from './notices-slice.js';
import { panelReducer } from './panel-slice.js';
import { today } from './today.js';

export const store = configureStore({
  reducer: { book: bookReducer, notices: noticesReducer, panel: panelReducer, [api.reducerPath]: api.reducer },
  // A book holds tens of thousands of rows: walking them after every action would be felt.
  middleware: (defaults) => defaults({ immutableCheck: false, serializableCheck: false }).concat(api.middleware),
});

export type AppState = ReturnType<typeof store.getState>;
export type AppThunk<Result = void> = ThunkAction<Result, AppState, unknown, Action>;
export const useAppDispatch = useDispatch.withTypes<typeof store.dispatch>();
export const useAppStore = useStore.withTypes<typeof store>();
export const useAppSelector = useSelector.withTypes<AppState>();

/** The day that the open book is shown for: today, unless another was chosen. */
export const shownDay = (): string => store.getState().book.asOf ?? today();

/** The same for a screen, which follows it. */
export const useShownDay = (): string => useAppSelector(({ book }) => book.asOf) ?? today();
