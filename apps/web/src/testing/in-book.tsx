import type { Role } from '@nuvar/book';
import { cleanup, render } from '@testing-library/react';
import type { ReactElement } from 'react';
import { Provider } from 'react-redux';
import { MemoryRouter } from 'react-router';
import { vi } from 'vitest';
import { model } from '../book/model.js';
import { engine } from '../engine/engine.js';
import { followBook } from '../engine/follow-book.js';
import { api } from '../state/api.js';
import { bookActions } from '../state/book-slice.js';
import { dismissed } from '../state/notices-slice.js';
import { allClosed } from '../state/panel-slice.js';
import { store } from '../state/store.js';
import { openDemo } from './open-demo.js';
import { SameThreadWorker } from './same-thread-worker.js';

interface InBook {
  readonly role?: Role;
  /** The address under that of the book. */
  readonly at?: string;
}

/** jsdom lays nothing out, so that there is nothing to watch. */
class NoResizeObserver {
  observe = () => undefined;
  unobserve = () => undefined;
  disconnect = () => undefined;
}

/** Opens the demo book, with its figures worked out in this thread. */
export function openBook(role: Role = 'owner'): void {
  vi.stubGlobal('Worker', SameThreadWorker);
  vi.stubGlobal('ResizeObserver', NoResizeObserver);
  vi.stubGlobal('matchMedia', () => ({ matches: false, addEventListener() {}, removeEventListener() {} }));
  // jsdom knows no modal dialogs.
  HTMLDialogElement.prototype.showModal = function () {
    this.open = true;
  };
  const person = { id: 'maker', name: 'Maker', email: 'maker@quillfern.example', isGuest: false };
  void store.dispatch(api.util.upsertQueryData('session', undefined, { user: person, demo: false }));
  followBook(store, () => '2026-11-26');
  openDemo();
  const id = model.rows.all('settings')[0]?.id ?? '';
  store.dispatch(bookActions.opened({ id, role, revision: 1, pending: [], aside: [], undo: [], redo: [] }));
}

/** Draws something in the open book. */
export function draw(content: ReactElement, at = '/'): ReturnType<typeof render> {
  return render(
    <Provider store={store}>
      <MemoryRouter initialEntries={[at]}>
        <main id="screen" tabIndex={-1}>
          {content}
        </main>
      </MemoryRouter>
    </Provider>,
  );
}

/** Draws something in the demo book. */
export function drawInDemo(
  content: ReactElement,
  { role = 'owner', at = '/' }: InBook = {},
): ReturnType<typeof render> {
  openBook(role);
  return draw(content, at);
}

/** Puts everything back as it was before a book was opened. */
export function leaveBook(): void {
  cleanup();
  store.dispatch(allClosed());
  store.dispatch(bookActions.closed());
  for (const { id } of store.getState().notices.list) store.dispatch(dismissed(id));
  engine.close();
  localStorage.clear();
  sessionStorage.clear();
  vi.unstubAllGlobals();
}
