import { Popover, PopoverButton, PopoverPanel } from '@headlessui/react';
import {
  BookOpen,
  CalendarDays,
  History,
  LogOut,
  Redo2,
  Search as SearchIcon,
  Settings,
  Undo2,
  UserRound,
} from 'lucide-react';
import { NavLink, useNavigate } from 'react-router';
import { useAddress } from '../book/place.js';
import { SCREEN_IDS, screenOf } from '../book/screens.js';
import { bookActions } from '../state/book-slice.js';
import { redo, undo } from '../book/edit.js';
import { useSettings } from '../book/use-book.js';
import { DayInput } from '../controls/fields/day-input.js';
import { readDayText } from '../controls/fields/read-day-text.js';
import { Menu } from '../controls/dialogs/menu.js';
import { dayText, counted } from '../figures/format.js';
import { ScreenLink } from '../figures/screen-link.js';
import { WORDMARK } from '../figures/wordmark.js';
import { useSessionQuery, useSignOutMutation } from '../state/api.js';
import { Search } from './search.js';
import { useAppDispatch, useAppSelector, useShownDay } from '../state/store.js';
import { today } from '../state/today.js';
import { WhatIfMenu } from '../what-if/what-if-menu.js';
import { useLooseEnds } from './use-loose-ends.js';

interface HeaderProps {
  readonly searching: boolean;
  readonly setSearching: (searching: boolean) => void;
}

/** In reach on every screen: the book, what is applied to it, the areas in working order, search, and how it stands. */
export function Header({ searching, setSearching }: HeaderProps) {
  const address = useAddress();
  const settings = useSettings();
  return (
    <header className="flex min-h-12 flex-none flex-wrap items-center gap-x-3.5 gap-y-1 border-b border-base-300 px-4 max-desk:py-2 print:hidden">
      <NavLink to="/books" className={WORDMARK} title="To your books">
        Nuvar
      </NavLink>
      <div className="flex max-w-44 flex-col leading-tight">
        <ScreenLink to="settings" className="truncate font-semibold">
          {settings.name}
        </ScreenLink>
        <span className="flex gap-1 text-xs">
          <WhatIfMenu />
          <AsOf />
        </span>
      </div>
      <nav className="flex self-stretch" aria-label="Areas">
        {SCREEN_IDS.map((id) => {
          const { area, letter } = screenOf(id);
          return (
            area !== undefined && (
              <NavLink
                key={id}
                to={address(id)}
                end={id === 'overview'}
                className="flex min-h-12 items-center border-y-3 border-transparent px-2.5 text-soft aria-[current=page]:border-b-primary aria-[current=page]:font-semibold aria-[current=page]:text-base-content"
                title={`${screenOf(id).name} (Alt+Shift+${letter ?? ''})`}
              >
                {area}
              </NavLink>
            )
          );
        })}
      </nav>
      <span className="grow" />
      <button type="button" className="btn text-soft" onClick={() => setSearching(true)}>
        <SearchIcon size={15} aria-hidden="true" />
        Search <kbd className="kbd kbd-sm font-sans text-soft max-wide:hidden">Ctrl K</kbd>
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
  const { locale } = useSettings();
  const dispatch = useAppDispatch();
  const choose = (day: string | null) => dispatch(bookActions.dayChosen(day === today() ? null : day));
  const read = (text: string): string | null => {
    const reading = readDayText(text, locale);
    if ('refusal' in reading) return reading.refusal;
    choose(reading.value);
    return null;
  };
  const shown = useShownDay();
  return (
    <Popover>
      <PopoverButton
        className={`underline decoration-dotted ${asOf === null ? 'text-soft' : 'font-bold text-primary'}`}
      >
        as of {asOf === null ? 'today' : dayText(asOf, locale)}
      </PopoverButton>
      <PopoverPanel
        anchor="bottom start"
        focus
        className="z-30 flex w-64 flex-col gap-2 border border-rule bg-base-100 p-3"
      >
        {({ close }) => (
          <>
            <span className="flex items-center gap-1.5" aria-hidden="true">
              <CalendarDays size={15} />
              Show figures as of
            </span>
            <DayInput label="Show figures as of" value={dayText(shown, locale)} day={shown} commit={read} autoFocus />
            <button
              type="button"
              className="btn"
              disabled={asOf === null}
              onClick={() => {
                choose(null);
                close();
              }}
            >
              Back to today
            </button>
          </>
        )}
      </PopoverPanel>
    </Popover>
  );
}

function LooseEndsCount() {
  const ends = useLooseEnds();
  const count = ends?.length ?? 0;
  const { locale } = useSettings();
  return (
    <ScreenLink
      to="looseEnds"
      className={`whitespace-nowrap ${count > 0 ? 'underline decoration-error decoration-dotted decoration-2 underline-offset-3' : 'text-soft'}`}
    >
      {ends === undefined ? 'Loose ends' : count === 0 ? 'No loose ends' : counted(count, 'loose end', locale)}
    </ScreenLink>
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
        className="btn btn-ghost"
        disabled={last === undefined}
        onClick={() => dispatch(undo())}
        title={last ? `Undo (Ctrl+Z): ${last.label}` : 'Nothing to undo'}
      >
        <Undo2 size={15} aria-hidden="true" />
        <span className="max-wide:sr-only">Undo</span>
      </button>
      <button
        type="button"
        className="btn btn-ghost"
        disabled={next === undefined}
        onClick={() => dispatch(redo())}
        title={next ? 'Redo (Ctrl+Y)' : 'Nothing to redo'}
      >
        <Redo2 size={15} aria-hidden="true" />
        <span className="max-wide:sr-only">Redo</span>
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
    <span className="min-w-14 text-right text-soft" role="status" title="Every edit is saved as it is made">
      {word}
    </span>
  );
}

function PersonMenu() {
  const { data: session } = useSessionQuery();
  const [signOut] = useSignOutMutation();
  const navigate = useNavigate();
  const address = useAddress();
  const isGuest = session?.user?.isGuest === true;
  const leave = async () => {
    await signOut();
    void navigate('/sign-in');
  };
  return (
    <Menu
      label={session?.user?.name ?? 'Account'}
      icon={UserRound}
      choices={[
        { label: 'History', icon: History, to: address('history') },
        { label: 'Settings', icon: Settings, to: address('settings') },
        { label: 'Your books', icon: BookOpen, to: '/books' },
        ...(isGuest
          ? [
              {
                label: 'Keep this book: create an account',
                icon: UserRound,
                to: `/sign-in?to=${encodeURIComponent(address('overview'))}`,
              },
            ]
          : []),
        { label: isGuest ? 'Leave the demo' : 'Sign out', icon: LogOut, act: () => void leave() },
      ]}
    />
  );
}
