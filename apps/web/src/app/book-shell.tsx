import { useEffect, useState } from 'react';
import { Link, Outlet, useMatches, useParams } from 'react-router';
import { useSettings } from '../book/use-book.js';
import { sync, type Opening } from '../book/sync.js';
import { WorkingPanels } from '../workings/working-panel.js';
import { useSessionQuery } from '../state/api.js';
import { ConflictDialog } from './conflict-dialog.js';
import { Header } from './header.js';
import { EngineBar, LinkBar, TrialBar } from './bars.js';
import { useGoToPlace } from '../book/place.js';
import { allClosed } from '../state/panel-slice.js';
import { useSignInAgain } from './sign-in-again.js';
import { useShortcuts } from './shortcuts.js';
import { store, useAppDispatch, useAppSelector } from '../state/store.js';

const TRY_AGAIN_AFTER = 2000;

/** Everything around the screens of an open book. */
export function BookShell() {
  const { bookId = '' } = useParams();
  const opening = useOpening(bookId);
  const isOpen = useAppSelector(({ book }) => book.id === bookId);
  if (opening === 'not-found') {
    return (
      <main className="lone-screen">
        <h1 className="screen-title">There is no such book for you</h1>
        <p>It may be gone, or you may not be a member of it.</p>
        <p>
          <Link className="link" to="/books">
            To your books
          </Link>
        </p>
      </main>
    );
  }
  if (!isOpen) {
    return (
      <main className="lone-screen">
        <p role="status">
          {opening === 'away' ? 'The server does not answer. Trying again; nothing is lost.' : 'Opening the book'}
        </p>
      </main>
    );
  }
  return <OpenBook />;
}

function OpenBook() {
  const { name } = useSettings();
  const title: unknown = useMatches().at(-1)?.handle;
  const [searching, setSearching] = useState(false);
  useShortcuts(() => setSearching(true));
  useGoToPlace();
  useEffect(() => {
    document.title = `${name} in Nuvar`;
  }, [name]);
  return (
    <div className="shell">
      <a className="skip-link" href="#screen">
        To the screen
      </a>
      <Header searching={searching} setSearching={setSearching} />
      <LinkBar />
      <TrialBar />
      <EngineBar />
      <div className="shell-body">
        <main id="screen" className="screen" tabIndex={-1}>
          {typeof title === 'string' && <h1 className="sr-only">{title}</h1>}
          <Outlet />
        </main>
        <WorkingPanels />
      </div>
      <ConflictDialog />
    </div>
  );
}

function useOpening(bookId: string): Opening | null {
  const { data: session } = useSessionQuery();
  const personId = session?.user?.id;
  const [opening, setOpening] = useState<Opening | null>(null);
  const signInAgain = useSignInAgain();
  const dispatch = useAppDispatch();
  useEffect(() => {
    if (personId === undefined) return;
    let left = false;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const open = async () => {
      const result = await sync.open(store, bookId, personId);
      if (left) return;
      setOpening(result);
      if (result === 'signed-out') signInAgain();
      if (result === 'away') timer = setTimeout(() => void open(), TRY_AGAIN_AFTER);
    };
    void open();
    return () => {
      left = true;
      clearTimeout(timer);
      dispatch(allClosed());
      sync.close();
    };
    // eslint-disable-next-line react-hooks/exhaustive-deps -- another screen of the same book must not open it anew
  }, [bookId, personId, dispatch]);
  return opening;
}
