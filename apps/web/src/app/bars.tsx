import { useCallback, useEffect, useRef, type ReactNode } from 'react';
import { useLocation } from 'react-router';
import { bookActions } from '../state/book-slice.js';
import { sync } from '../book/sync.js';
import { useAcceptTrial } from '../book/use-trial.js';
import { useEngineState } from '../engine/use-engine-state.js';
import { noticed } from '../state/notices-slice.js';
import { useSignInAgain } from './sign-in-again.js';
import { useAppDispatch, useAppSelector } from '../state/store.js';

/** A line across the page that stays until what it says is over. */
function Bar({ isTrial = false, children }: { readonly isTrial?: boolean; readonly children: ReactNode }) {
  return (
    <div
      className={`alert flex flex-none rounded-none px-4 py-1.5 border-x-0 border-t-0 border-base-300 print:hidden ${isTrial ? 'trial-bar' : 'alert-warning'}`}
      role="status"
    >
      {children}
    </div>
  );
}

/** Says when the server is away or asks for a new sign-in, and what is kept meanwhile. */
export function LinkBar() {
  const link = useAppSelector(({ book }) => book.link);
  const waiting = useAppSelector(({ book }) => book.pending.length);
  const label = useAppSelector(({ book }) => book.undo.find(({ changeId }) => changeId === book.pending[0]?.id)?.label);
  const signInAgain = useSignInAgain();
  if (link === 'well' || link === 'sending') return null;
  const edits =
    waiting === 0
      ? 'Nothing is waiting to be sent.'
      : `${waiting === 1 ? 'One edit is' : `${waiting} edits are`} kept on this machine and sent when it is back.`;
  return (
    <Bar>
      {link === 'away' && <span>The server does not answer. You can keep working. {edits}</span>}
      {link === 'failing' && (
        <span>
          The server cannot store one of your edits{label !== undefined && ` (${label})`}, and it is being tried again.
          Set it aside so that the others can be saved: it stays on this machine, under History.
        </span>
      )}
      {link === 'gone' && <span>This book is no longer open to you. What was not sent yet stays on this machine.</span>}
      {link === 'signed-out' && (
        <span>You have been signed out. {edits.replace('it is back', 'you are signed in again')}</span>
      )}
      {link === 'signed-out' ? (
        <button type="button" className="btn" onClick={signInAgain}>
          Sign in again
        </button>
      ) : (
        <>
          {link === 'failing' && (
            <button type="button" className="btn btn-primary" onClick={() => void sync.setAside()}>
              Set it aside
            </button>
          )}
          <button type="button" className="btn" onClick={() => sync.retry()}>
            Try now
          </button>
        </>
      )}
    </Bar>
  );
}

/** Unmistakable while something is tried that is not in the book. */
export function TrialBar() {
  const trial = useAppSelector(({ book }) => book.trial);
  const dispatch = useAppDispatch();
  const accept = useAcceptTrial();
  const drop = useCallback(() => dispatch(bookActions.trialDropped()), [dispatch]);
  const isOn = trial.length > 0;
  useEffect(() => {
    if (!isOn) return;
    const onKeyDown = (event: KeyboardEvent) => {
      if (event.key === 'Escape' && !event.defaultPrevented) drop();
    };
    window.addEventListener('keydown', onKeyDown);
    return () => window.removeEventListener('keydown', onKeyDown);
  }, [isOn, drop]);
  // What is tried belongs to the screen on which it is tried: leaving drops it.
  const { pathname } = useLocation();
  useEffect(() => () => void drop(), [drop, pathname]);
  if (!isOn) return null;
  return (
    <Bar isTrial>
      <span className="bg-base-100 px-2">
        <strong>Trial:</strong> the figures on screen show a trial that is not saved. Other edits are saved as usual.
      </span>
      <button type="button" className="btn btn-primary" onClick={accept}>
        Keep
      </button>
      <button type="button" className="btn" onClick={drop}>
        Discard (Esc)
      </button>
    </Bar>
  );
}

/** Says when figures could not be worked out, so that none is missing without a word. */
export function EngineBar() {
  const { failures, restarts, hasGivenUp } = useEngineState();
  const dispatch = useAppDispatch();
  const told = useRef(0);
  useEffect(() => {
    if (restarts > told.current)
      dispatch(noticed({ sentence: 'The calculation stopped and was started again. Nothing was lost.' }));
    told.current = restarts;
  }, [restarts, dispatch]);
  const [why] = failures.values();
  if (!hasGivenUp && why === undefined) return null;
  return (
    <Bar>
      <span>
        {hasGivenUp
          ? 'The figures of this book cannot be worked out at the moment. What you edit is stored all the same.'
          : `${failures.size === 1 ? 'One part of this screen' : `${failures.size} parts of these screens`} could not be worked out and is left out (${why ?? ''}).`}
      </span>
      <button type="button" className="btn" onClick={() => window.location.reload()}>
        Reload the page
      </button>
    </Bar>
  );
}
