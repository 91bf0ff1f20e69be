import 'reflect-metadata';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { RouterProvider } from 'react-router/dom';
import { askAhead } from './app/ask-ahead.js';
import { router } from './app/routes.js';
import { store } from './state/store.js';
import './styles/index.css';
import { followTheme } from './app/theme.js';
import { today } from './state/today.js';
import { followLedgers } from './book/ledger-rows.js';
import { followBook } from './engine/follow-book.js';

followTheme();
followBook(store, today);
followLedgers(store, today);
askAhead();

createRoot(document.getElementById('root') as HTMLElement).render(
  <StrictMode>
    <Provider store={store}>
      <RouterProvider router={router} />
    </Provider>
  </StrictMode>,
);
