import { bookActions } from '../state/book-slice.js';
import type { AppThunk } from '../state/store.js';
import { model } from './model.js';

/** Under what a tab remembers the what-if that is open in it, so that a reload comes back to it. */
const keptAs = (bookId: string) => `nuvar-what-if ${bookId}`;

/** Opens a what-if of the book: from then on its screens show it, and edits go to it. Null goes back to the book. */
export function openWhatIf(id: string | null): AppThunk {
  return (dispatch, getState) => {
    const bookId = getState().book.id ?? '';
    if (id === null) sessionStorage.removeItem(keptAs(bookId));
    else sessionStorage.setItem(keptAs(bookId), id);
    model.showWhatIf(id);
    dispatch(bookActions.whatIfOpened(id));
  };
}

/** Opens the what-if again that was open in this tab before it was loaded anew, where the book still has it. */
export function reopenWhatIf(): AppThunk {
  return (dispatch, getState) => {
    const { id: bookId, whatIf } = getState().book;
    const known = sessionStorage.getItem(keptAs(bookId ?? ''));
    if (whatIf === null && known !== null && model.book.row('whatIf', known) !== undefined) dispatch(openWhatIf(known));
  };
}
