import { configureStore, type Action, type ThunkAction } from '@reduxjs/toolkit';
import { useDispatch, useSelector } from 'react-redux';
import { bookReducer } from './book-slice.js';
import { api } from './api.js';
import { noticesReducer } from './notices-slice.js';
import { panelReducer } from './panel-slice.js';

export const store = configureStore({
  reducer: { book: bookReducer, notices: noticesReducer, panel: panelReducer, [api.reducerPath]: api.reducer },
  // A book holds tens of thousands of rows: walking them after every action would be felt.
  middleware: (defaults) => defaults({ immutableCheck: false, serializableCheck: false }).concat(api.middleware),
});

export type AppState = ReturnType<typeof store.getState>;
export type AppThunk<Result = void> = ThunkAction<Result, AppState, unknown, Action>;
export const useAppDispatch = useDispatch.withTypes<typeof store.dispatch>();
export const useAppSelector = useSelector.withTypes<AppState>();
