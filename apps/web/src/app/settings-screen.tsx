import { LOCALES, ROUNDING_MODES } from '@nuvar/book';
import { useState, type FormEvent } from 'react';
import { Link, useLocation, useNavigate } from 'react-router';
import { useSettings } from '../book/use-book.js';
import { localeName } from '../figures/format.js';
import { PLANNING_WORDS } from '../purchasing/planning-words.js';
import { RatesGrid } from '../purchasing/rates-grid.js';
import { UnitsGrid } from '../purchasing/units-grid.js';
import { RowField } from '../controls/row-field.js';
import {
  problemsOf,
  useMembersQuery,
  usePutMemberMutation,
  useRemoveBookMutation,
  useRemoveMemberMutation,
  useSessionQuery,
} from '../state/api.js';
import { useAppSelector } from '../state/store.js';
import { applyTheme, chosenTheme, type Theme } from './theme.js';

const LOCALE_WORDS = Object.fromEntries(LOCALES.map((locale) => [locale, localeName(locale)]));
const ROUNDING_WORDS = {
  'half-away-from-zero': 'half away from zero',
  'half-even': 'half to the even digit',
} satisfies Record<(typeof ROUNDING_MODES)[number], string>;

/** The settings of the book, its file, its people, and how the screen looks on this machine. */
export function SettingsScreen() {
  const settings = useSettings();
  const role = useAppSelector(({ book }) => book.role);
  const field = (name: string, suffix?: string, words?: Record<string, string>) => (
    <RowField
      kind="settings"
      id={settings.id}
      field={name}
      {...(suffix === undefined ? {} : { suffix })}
      {...(words === undefined ? {} : { words })}
    />
  );
  return (
    <div className="page page-columns">
      <section aria-label="Book">
        <h1 className="screen-title">Settings</h1>
        <div className="fields">
          {field('name')}
          {field('currency')}
          {field('locale', undefined, LOCALE_WORDS)}
          {field('rounding', undefined, ROUNDING_WORDS)}
          {field('salesTaxPercent', '% of the price before tax')}
          {field('pricesIncludeTax')}
        </div>
        <h2 className="section-title mt-6">What materials are planned to cost</h2>
        <div className="fields">
          {field('planningBasis', undefined, PLANNING_WORDS)}
          {(settings.planningBasis === 'highest' || settings.planningBasis === 'average') &&
            field('planningMonths', 'months')}
          {field('bufferPercent', '% on top')}
        </div>
        <p className="text-soft">
          A material may say otherwise for itself. Open days and normal hours stand under Run.
        </p>
        <div className="mt-6">
          <RatesGrid />
        </div>
        <div className="mt-6">
          <UnitsGrid />
        </div>
        <h2 className="section-title mt-6">Book file</h2>
        <p className="text-soft">
          The whole book as one file, without its history: to keep, to hand on, or to take in again as a new book.
        </p>
        <p className="mt-2">
          <a className="button" href={`/api/books/${settings.id}/file`} download={`${settings.name}.nuvar.json`}>
            Save the book file
          </a>
        </p>
        <LooksHere />
      </section>
      <section aria-label="People">
        <People bookId={settings.id} isOwner={role === 'owner'} />
        {role === 'owner' && <RemoveBook id={settings.id} name={settings.name} />}
      </section>
    </div>
  );
}

function LooksHere() {
  const [theme, setTheme] = useState<Theme>(chosenTheme);
  return (
    <>
      <h2 className="section-title mt-6">Looks on this machine</h2>
      <fieldset className="flex gap-5">
        <legend className="sr-only">Colours</legend>
        {(['light', 'dark', 'system'] as const).map((each) => (
          <label key={each} className="flex items-center gap-2">
            <input
              type="radio"
              name="theme"
              className="radio radio-sm"
              checked={theme === each}
              onChange={() => {
                setTheme(each);
                applyTheme(each);
              }}
            />
            {each === 'system' ? 'as the machine' : each}
          </label>
        ))}
      </fieldset>
    </>
  );
}

const ROLE_WORDS = { owner: 'owner: everything', editor: 'editor: may edit', reader: 'reader: may look' };

function People({ bookId, isOwner }: { bookId: string; isOwner: boolean }) {
  const { data: members } = useMembersQuery(bookId);
  const { data: session } = useSessionQuery();
  const [put, putting] = usePutMemberMutation();
  const [remove, removing] = useRemoveMemberMutation();
  const { pathname } = useLocation();
  const failed = putting.error ?? removing.error;
  const add = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const form = event.currentTarget;
    const { email = '', role = '' } = Object.fromEntries(new FormData(form)) as Record<string, string>;
    void put({ bookId, email, role })
      .unwrap()
      .then(
        () => form.reset(),
        () => undefined,
      );
  };
  return (
    <>
      <h2 className="section-title">People of this book</h2>
      <table className="plain-table">
        <tbody>
          {members?.map((member) => (
            <tr key={member.userId}>
              <th scope="row">
                {member.name} <span className="text-soft">{member.email}</span>
              </th>
              <td>
                {isOwner ? (
                  <select
                    className="input-line"
                    aria-label={`Role of ${member.name}`}
                    value={member.role}
                    onChange={(event) => void put({ bookId, email: member.email ?? '', role: event.target.value })}
                  >
                    {Object.entries(ROLE_WORDS).map(([role, words]) => (
                      <option key={role} value={role}>
                        {words}
                      </option>
                    ))}
                  </select>
                ) : (
                  ROLE_WORDS[member.role]
                )}
              </td>
              <td>
                {(isOwner || member.userId === session?.user?.id) && (
                  <button
                    type="button"
                    className="quiet-button"
                    onClick={() => void remove({ bookId, userId: member.userId })}
                  >
                    {member.userId === session?.user?.id ? 'Leave' : 'Take out'}
                  </button>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {failed !== undefined && (
        <p className="hint-refused" role="alert">
          {problemsOf(failed)[0]?.sentence}
        </p>
      )}
      {session?.user?.isGuest && (
        <p className="text-soft">
          A guest works alone.{' '}
          <Link className="link" to={`/sign-in?to=${encodeURIComponent(pathname)}`}>
            Make an account
          </Link>{' '}
          to keep this book and to work on it with others.
        </p>
      )}
      {isOwner && !session?.user?.isGuest && (
        <form className="mt-3 flex flex-wrap items-end gap-3" onSubmit={add}>
          <label className="entry">
            <span>E-mail address of an account</span>
            <input name="email" type="email" className="input-box" required />
          </label>
          <label className="entry">
            <span>Role</span>
            <select name="role" className="input-box" defaultValue="editor">
              {Object.entries(ROLE_WORDS).map(([role, words]) => (
                <option key={role} value={role}>
                  {words}
                </option>
              ))}
            </select>
          </label>
          <button type="submit" className="button">
            Add
          </button>
        </form>
      )}
    </>
  );
}

function RemoveBook({ id, name }: { id: string; name: string }) {
  const navigate = useNavigate();
  const [remove] = useRemoveBookMutation();
  const [typed, setTyped] = useState('');
  return (
    <details className="mt-8">
      <summary className="link">Remove this book for good</summary>
      <p className="mt-2">This cannot be undone. Save the book file first. To remove it, type its name:</p>
      <div className="mt-2 flex gap-3">
        <input
          className="input-box"
          aria-label="Name of the book"
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
        />
        <button
          type="button"
          className="button"
          disabled={typed !== name}
          onClick={() => void remove(id).then(() => navigate('/books'))}
        >
          Remove {name}
        </button>
      </div>
    </details>
  );
}
