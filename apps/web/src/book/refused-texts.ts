import { bookActions, type Refused } from '../state/book-slice.js';
import type { AppThunk, store } from '../state/store.js';
import { keptOnMachine, type KeptOnMachine } from './kept-on-machine.js';

const refusedOf = keptOnMachine<Refused>('nuvar-refused', 'texts', ({ place }) => place);
let kept: KeptOnMachine<Refused> | null = null;

/** The refused texts of the open book. They are kept on this machine, and outlive a reload as waiting changes do. */
export const refusedTexts = {
  async open(handle: Pick<typeof store, 'dispatch'>, personId: string, bookId: string): Promise<void> {
    const own = refusedOf(personId, bookId);
    kept = own;
    const texts = await own.all();
    if (kept === own && texts.length > 0) handle.dispatch(bookActions.refused(texts));
  },
  close(): void {
    kept = null;
  },
};

/** Keeps what was typed into a field and refused. */
export function keepRefused(refused: Refused): AppThunk {
  return (dispatch) => {
    void kept?.put(refused);
    dispatch(bookActions.refused([refused]));
  };
}

/** Forgets the refused text of a field: another was taken, or it was taken back. */
export function putRight(place: string): AppThunk {
  return (dispatch, getState) => {
    if (getState().book.refused[place] === undefined) return;
    void kept?.remove(place);
    dispatch(bookActions.putRight(place));
  };
}
