import { useCallback, useEffect, useRef } from 'react';
import { useLocation } from 'react-router';
import { bookActions } from '../state/book-slice.js';
import { sync } from '../book/sync.js';
import { useAcceptTrial } from '../book/use-trial.js';
import { useEngineState } from '../engine/use-engine-state.js';
import { noticed } from '../state/notices-slice.js';
import { useSignInAgain } from './sign-in-again.js';
import { useAppDispatch, useAppSelector } from '../state/store.js';

/** Says when the server is away or asks for a new sign-in, and what is kept meanwhile. */
export function LinkBar() {
  const link = useAppSelector(({ book }) => book.link);
  const waiting = useAppSelector(({ book }) => book.pending.length);
  const label = useAppSelector(({ book }) => book.undo.find(({ changeId }) => changeId === book.pending[0]?.id)?.label);
  const signInAgain = useSignInAgain();
  if (link === 'well' || link === 'sending') return null;
  const edits =
    waiting === 0
      ? 'Nothing waits to be sent.'
      : `${waiting === 1 ? 'One edit is' : `${waiting} edits are`} kept on this machine and sent when it is back.`;
  return (
    <div className="bar bar-warning" role="status">
      {link === 'away' && <span>The server does not answer. You can go on working. {edits}</span>}
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
        <button type="button" className="button" onClick={signInAgain}>
          Sign in again
        </button>
      ) : (
        <>
          {link === 'failing' && (
            <button type="button" className="button button-main" onClick={() => void sync.setAside()}>
              Set it aside
            </button>
          )}
          <button type="button" className="button" onClick={() => sync.retry()}>
            Try now
          </button>
        </>
      )}
    </div>
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
    <div className="bar bar-trial" role="status">
      <span>
        <strong>Only tried:</strong> the figures on screen follow a trial that is not in the book.
      </span>
      <button type="button" className="button button-main" onClick={accept}>
        Keep it
      </button>
      <button type="button" className="button" onClick={drop}>
        Drop it (Esc)
      </button>
    </div>
  );
}

/** Says when figures could not be worked out, so that none is missing without a word. */
export function EngineBar() {
  const { failures, restarts, hasGivenUp } = useEngineState();
  const dispatch = useAppDispatch();
  const told = useRef(0);
  useEffect(() => {
    if (restarts > told.current)
      dispatch(noticed({ sentence: 'Working out the figures had stopped, and was started again. Nothing was lost.' }));
    told.current = restarts;
  }, [restarts, dispatch]);
  const [why] = failures.values();
  if (!hasGivenUp && why === undefined) return null;
  return (
    <div className="bar bar-warning" role="status">
      <span>
        {hasGivenUp
          ? 'The figures of this book cannot be worked out at the moment. What you edit is stored all the same.'
          : `${failures.size === 1 ? 'One part of this screen' : `${failures.size} parts of these screens`} could not be worked out and is left out (${why ?? ''}).`}
      </span>
      <button type="button" className="button" onClick={() => window.location.reload()}>
        Load the page again
      </button>
    </div>
  );
}
