import { model } from '../book/model.js';
import { transport } from '../book/transport.js';
import { api } from '../state/api.js';
import { store } from '../state/store.js';

/**
 * Asks at once for what this address is bound to need: who is there, the book, and a worker that takes it. Screens ask
 * for the same when they are put together, and find it on its way.
 */
export function askAhead(): void {
  void store.dispatch(api.endpoints.session.initiate());
  const bookId = /^\/books\/([^/]+)/.exec(location.pathname)?.[1];
  if (bookId === undefined) return;
  model.expect();
  transport.expect(bookId);
}
