import { NavLink, useNavigate } from 'react-router';
import { bookActions } from '../state/book-slice.js';
import { redo, undo } from '../book/edit.js';
import { useBookPath, useSettings } from '../book/use-book.js';
import { useView } from '../engine/use-view.js';
import { useSessionQuery, useSignOutMutation } from '../state/api.js';
import { Search } from './search.js';
import { useAppDispatch, useAppSelector } from '../state/store.js';
import { today } from '../state/today.js';

const AREAS = [
  ['', 'Overview'],
  ['/buy', 'Buy'],
  ['/make', 'Make'],
  ['/run', 'Run'],
  ['/sell', 'Sell'],
  ['/plan', 'Plan'],
] as const;

interface HeaderProps {
  readonly searching: boolean;
  readonly setSearching: (searching: boolean) => void;
}

/** In reach on every screen: the book, what is applied to it, the areas in working order, search, and how it stands. */
export function Header({ searching, setSearching }: HeaderProps) {
  const path = useBookPath();
  const settings = useSettings();
  const isTrial = useAppSelector(({ book }) => book.trial.length > 0);
  return (
    <header className="header">
      <NavLink to="/books" className="wordmark" title="To your books">
        Nuvar
      </NavLink>
      <div className="header-book">
        <NavLink to={`${path}/settings`} className="header-name" title="Settings of the book">
          {settings.name}
        </NavLink>
        <span className="flex gap-1">
          <span className={isTrial ? 'applied applied-trial' : 'applied'}>{isTrial ? 'Trial' : 'Baseline'}</span>
          <AsOf />
        </span>
      </div>
      <nav className="areas" aria-label="Areas">
        {AREAS.map(([to, label]) => (
          <NavLink key={label} to={`${path}${to}`} end={to === ''} className="area">
            {label}
          </NavLink>
        ))}
      </nav>
      <span className="grow" />
      <button type="button" className="search-button" onClick={() => setSearching(true)}>
        Search <kbd>Ctrl K</kbd>
      </button>
      <LooseEndsCount />
      <UndoButtons />
      <Saved />
      <PersonMenu />
      {searching && <Search onClose={() => setSearching(false)} />}
    </header>
  );
}

/** The day as of which everything is worked out; another than today is unmistakable. */
function AsOf() {
  const asOf = useAppSelector(({ book }) => book.asOf);
  const dispatch = useAppDispatch();
  const choose = (day: string | null) => dispatch(bookActions.dayChosen(day));
  return (
    <details className="as-of">
      <summary className={asOf === null ? 'applied' : 'applied applied-trial'}>as of {asOf ?? 'today'}</summary>
      <div className="export-choices as-of-choices">
        <label>
          Work everything out as of
          <input
            type="date"
            className="input-line"
            value={asOf ?? today()}
            onChange={(event) =>
              event.target.value !== '' && choose(event.target.value === today() ? null : event.target.value)
            }
          />
        </label>
        <button type="button" disabled={asOf === null} onClick={() => choose(null)}>
          Back to today
        </button>
      </div>
    </details>
  );
}

function LooseEndsCount() {
  const path = useBookPath();
  const ends = useView('looseEnds');
  const count = ends?.length ?? 0;
  return (
    <NavLink to={`${path}/loose-ends`} className={count > 0 ? 'loose-count loose-count-some' : 'loose-count'}>
      {ends === undefined
        ? 'Loose ends'
        : count === 0
          ? 'No loose ends'
          : `${count} loose ${count === 1 ? 'end' : 'ends'}`}
    </NavLink>
  );
}

function UndoButtons() {
  const dispatch = useAppDispatch();
  const last = useAppSelector(({ book }) => book.undo.at(-1));
  const next = useAppSelector(({ book }) => book.redo.at(-1));
  return (
    <span className="flex">
      <button
        type="button"
        className="quiet-button"
        disabled={last === undefined}
        onClick={() => dispatch(undo())}
        title={last ? `Take back (Ctrl+Z): ${last.label}` : 'Nothing to take back'}
      >
        Undo
      </button>
      <button
        type="button"
        className="quiet-button"
        disabled={next === undefined}
        onClick={() => dispatch(redo())}
        title={next ? 'Do again (Ctrl+Shift+Z)' : 'Nothing to do again'}
      >
        Redo
      </button>
    </span>
  );
}

function Saved() {
  const link = useAppSelector(({ book }) => book.link);
  const waiting = useAppSelector(({ book }) => book.pending.length);
  const word =
    link === 'well' && waiting === 0
      ? 'Saved'
      : link === 'well' || link === 'sending'
        ? 'Saving'
        : `${waiting} waiting`;
  return (
    <span className="saved" role="status" title="Every edit is saved as it is made">
      {word}
    </span>
  );
}

function PersonMenu() {
  const { data: session } = useSessionQuery();
  const [signOut] = useSignOutMutation();
  const navigate = useNavigate();
  const path = useBookPath();
  const isGuest = session?.user?.isGuest === true;
  return (
    <details className="menu">
      <summary className="quiet-button">{session?.user?.name ?? 'Account'}</summary>
      <div className="menu-list">
        <NavLink to={`${path}/history`}>History</NavLink>
        <NavLink to={`${path}/settings`}>Settings</NavLink>
        <NavLink to="/books">Your books</NavLink>
        {isGuest && <NavLink to={`/sign-in?to=${encodeURIComponent(path)}`}>Keep this book: make an account</NavLink>}
        <button
          type="button"
          onClick={async () => {
            await signOut();
            void navigate('/sign-in');
          }}
        >
          {isGuest ? 'Leave the demo' : 'Sign out'}
        </button>
      </div>
    </details>
  );
}
