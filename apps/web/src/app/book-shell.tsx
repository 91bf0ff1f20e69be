import { useEffect, useState } from 'react';
import { Link, Outlet, useMatches, useParams } from 'react-router';
import { useSettings } from '../book/use-book.js';
import { SCREEN_IDS, screenOf, type ScreenId } from '../book/screens.js';
import type { Opening } from '../book/opening.js';
import { sync } from '../book/sync.js';
import { WorkingPanels } from '../workings/working-panel.js';
import { useSessionQuery } from '../state/api.js';
import { ConflictDialog } from './conflict-dialog.js';
import { Header } from './header.js';
import { EngineBar, LinkBar, TrialBar } from './bars.js';
import { useGoToPlace } from '../book/place.js';
import { allClosed } from '../state/panel-slice.js';
import { useSignInAgain } from './sign-in-again.js';
import { PrintHead } from './print-head.js';
import { WhatIfBand } from '../what-if/what-if-band.js';
import { useShortcuts } from './shortcuts.js';
import { store, useAppDispatch, useAppSelector } from '../state/store.js';
import { LoneScreen } from '../controls/layout/lone-screen.js';

const TRY_AGAIN_AFTER = 2000;

/** Everything around the screens of an open book. */
export function BookShell() {
  const { bookId = '' } = useParams();
  const opening = useOpening(bookId);
  const isOpen = useAppSelector(({ book }) => book.id === bookId);
  if (opening === 'not-found') {
    return (
      <LoneScreen>
        <h1 className="font-serif text-title">Book not found</h1>
        <p>It may have been removed, or you may not have access to it.</p>
        <p>
          <Link className="link link-primary" to="/books">
            To your books
          </Link>
        </p>
      </LoneScreen>
    );
  }
  if (!isOpen) {
    return (
      <LoneScreen>
        <p role="status">
          {opening === 'away' ? 'The server does not answer. Trying again; nothing is lost.' : 'Opening the book'}
        </p>
      </LoneScreen>
    );
  }
  return <OpenBook />;
}

function OpenBook() {
  const { name } = useSettings();
  const screen = useScreen();
  const [searching, setSearching] = useState(false);
  useShortcuts(() => setSearching(true));
  useGoToPlace();
  useEffect(() => {
    document.title = `${name} in Nuvar`;
  }, [name]);
  return (
    <div className="flex min-h-dvh flex-col has-[>[data-what-if]]:shadow-[inset_4px_0_0_var(--what-if)] desk:h-dvh print:block print:h-auto">
      <a className="absolute -left-[999px] bg-base-100 p-2 focus:top-2 focus:left-2 focus:z-50" href="#screen">
        Skip to content
      </a>
      <Header searching={searching} setSearching={setSearching} />
      <LinkBar />
      <WhatIfBand />
      <TrialBar />
      <EngineBar />
      <PrintHead screen={screen} />
      <div className="relative flex min-h-0 flex-1 max-desk:flex-col print:block">
        <main
          id="screen"
          className="min-w-0 flex-1 overflow-auto px-4 pt-3.5 pb-6 outline-none print:overflow-visible print:p-0"
          tabIndex={-1}
        >
          {screen !== null && !screenOf(screen).hasHeading && <h1 className="sr-only">{screenOf(screen).name}</h1>}
          <Outlet />
        </main>
        <WorkingPanels screen={screen} />
      </div>
      <ConflictDialog />
    </div>
  );
}

/** The screen that is shown. */
function useScreen(): ScreenId | null {
  const id = useMatches().at(-1)?.id;
  return SCREEN_IDS.find((each) => each === id) ?? null;
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
