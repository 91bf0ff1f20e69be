import { useState } from 'react';
import { useMayEdit, useSettings } from '../book/use-book.js';
import { Dialog } from '../controls/dialogs/dialog.js';
import { BASELINE, frozenNamed } from '../engine/view-key.js';
import { dayText, momentWords } from '../figures/format.js';
import { ScreenLink } from '../figures/screen-link.js';
import { problemsOf, useBaselinesQuery, useFreezeMutation, useRemoveBaselineMutation } from '../state/api.js';
import { useAppSelector, useShownDay } from '../state/store.js';

/** What the book was when it was frozen: the way to compare with it, and to freeze it as it is now. */
export function Baselines() {
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <button type="button" className="btn" onClick={() => setOpen(true)}>
        Baselines
      </button>
      {isOpen && <BaselinesDialog onClose={() => setOpen(false)} />}
    </>
  );
}

function BaselinesDialog({ onClose }: { readonly onClose: () => void }) {
  const bookId = useAppSelector(({ book }) => book.id) ?? '';
  const isWaiting = useAppSelector(({ book }) => book.pending.length > 0);
  const { data: baselines = [], isError } = useBaselinesQuery(bookId);
  const [remove] = useRemoveBaselineMutation();
  const mayEdit = useMayEdit();
  const { locale } = useSettings();
  return (
    <Dialog title="Baselines" onClose={onClose} wide>
      <p className="mt-2 max-w-prose">
        A baseline is the whole book as it was when you froze it. It never changes, so that later figures can be
        compared with what was decided.
      </p>
      {isError && <p className="text-error">The server does not answer. Try again in a moment.</p>}
      {baselines.length > 0 && (
        <table className="table mt-2 w-auto" aria-label="Baselines of the book">
          <thead>
            <tr>
              <th scope="col">Name</th>
              <th scope="col">Figures as of</th>
              <th scope="col">Frozen</th>
              <th scope="col">Note</th>
              <th />
            </tr>
          </thead>
          <tbody>
            {baselines.map(({ id, name, day, madeAt, madeBy, note }) => (
              <tr key={id}>
                <th scope="row" className="font-normal">
                  {name}
                </th>
                <td>{dayText(day, locale)}</td>
                <td>
                  {momentWords(madeAt, locale)}
                  {madeBy !== null && `, ${madeBy}`}
                </td>
                <td>{note}</td>
                <td className="flex gap-3">
                  <ScreenLink to="compare" search={`?sides=${frozenNamed(id)},${BASELINE}`}>
                    Compare
                  </ScreenLink>
                  {mayEdit && (
                    <button type="button" className="link" onClick={() => void remove({ bookId, id })}>
                      Remove
                    </button>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {mayEdit && <Freeze bookId={bookId} isWaiting={isWaiting} />}
      <div className="modal-action">
        <button type="button" className="btn" onClick={onClose}>
          Close
        </button>
      </div>
    </Dialog>
  );
}

function Freeze({ bookId, isWaiting }: { readonly bookId: string; readonly isWaiting: boolean }) {
  const [freeze, { isLoading, error }] = useFreezeMutation();
  const [name, setName] = useState('');
  const [note, setNote] = useState('');
  const day = useShownDay();
  const { locale } = useSettings();
  const make = async () => {
    const answer = await freeze({ bookId, name: name.trim(), note, day });
    if (answer.data === undefined) return;
    setName('');
    setNote('');
  };
  return (
    <form
      className="mt-3 flex flex-wrap items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        void make();
      }}
    >
      <label className="grid gap-0.5">
        <span className="text-soft">Freeze the book as</span>
        <input
          className="input"
          value={name}
          maxLength={120}
          placeholder="Budget 2027"
          onChange={(event) => setName(event.target.value)}
        />
      </label>
      <label className="grid grow gap-0.5">
        <span className="text-soft">Note</span>
        <input
          className="input w-full"
          value={note}
          maxLength={2000}
          onChange={(event) => setNote(event.target.value)}
        />
      </label>
      <button type="submit" className="btn btn-primary" disabled={name.trim() === '' || isLoading || isWaiting}>
        Freeze, as of {dayText(day, locale)}
      </button>
      {error !== undefined && (
        <span className="w-full text-error" role="alert">
          {problemsOf(error)[0]?.sentence}
        </span>
      )}
    </form>
  );
}
