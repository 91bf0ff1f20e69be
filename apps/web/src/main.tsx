import 'reflect-metadata';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { RouterProvider } from 'react-router/dom';
import { router } from './app/routes.js';
import { store } from './app/store.js';
import './app/styles.css';
import { applyTheme, chosenTheme } from './app/theme.js';
import { today } from './app/today.js';
import { transport } from './book/transport.js';
import { followBook } from './engine/follow-book.js';

applyTheme(chosenTheme());
followBook(store, today);
const bookId = /^\/books\/([^/]+)/.exec(location.pathname)?.[1];
if (bookId !== undefined) transport.expectSnapshot(bookId);

createRoot(document.getElementById('root') as HTMLElement).render(
  <StrictMode>
    <Provider store={store}>
      <RouterProvider router={router} />
    </Provider>
  </StrictMode>,
);
