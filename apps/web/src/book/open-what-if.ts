import { bookActions } from '../state/book-slice.js';
import type { AppThunk } from '../state/store.js';
import { model } from './model.js';

/** Opens a what-if of the book: from then on its screens show it, and edits go to it. Null goes back to the book. */
export function openWhatIf(id: string | null): AppThunk {
  return (dispatch) => {
    model.showWhatIf(id);
    dispatch(bookActions.whatIfOpened(id));
  };
}
