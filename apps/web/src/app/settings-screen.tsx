import { LOCALES, ROUNDING_MODES } from '@nuvar/book';
import { useState } from 'react';
import { Link, useLocation, useNavigate } from 'react-router';
import { useSettings } from '../book/use-book.js';
import { localeName } from '../figures/format.js';
import { PLANNING_WORDS, STOCK_WORDS } from '../purchasing/planning-words.js';
import { RatesGrid } from '../purchasing/rates-grid.js';
import { TaxOnPurchases } from '../purchasing/tax-on-purchases.js';
import { UnitsGrid } from '../purchasing/units-grid.js';
import { AddMemberForm } from '../accounts/forms.js';
import { FormEntry, FormProblem } from '../controls/fields/form-entry.js';
import { useCheckedForm } from '../controls/fields/use-checked-form.js';
import { RowField } from '../controls/fields/row-field.js';
import { RowText } from '../controls/fields/row-text.js';
import { SalesTaxRates } from '../selling/sales-tax-rates.js';
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
import { Fields } from '../controls/fields/fields.js';

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
    <div className="grid max-w-page gap-12 desk:grid-cols-2">
      <section aria-label="Book">
        <h1 className="font-serif text-title">Settings</h1>
        <Fields>
          {field('name')}
          {field('currency')}
          {field('locale', undefined, LOCALE_WORDS)}
          {field('rounding', undefined, ROUNDING_WORDS)}
          {field('salesTaxPercent', '% of the price before tax')}
          {field('pricesIncludeTax')}
        </Fields>
        <RowText
          kind="settings"
          id={settings.id}
          field="letterhead"
          placeholder="Name and address as they stand at the head of quotes and price lists"
        />
        <h2 className="text-section mt-6">Planning prices</h2>
        <Fields>
          {field('stockMethod', undefined, STOCK_WORDS)}
          {field('planningBasis', undefined, PLANNING_WORDS)}
          {(settings.planningBasis === 'highest' || settings.planningBasis === 'average') &&
            field('planningMonths', 'months')}
          {field('bufferPercent', '% on top')}
        </Fields>
        <p className="text-soft">Each material can override this. Open days and normal hours are set under Run.</p>
        <h2 className="text-section mt-6">Cash</h2>
        <Fields>{field('repaymentsPerMonth', settings.currency)}</Fields>
        <p className="text-soft">A break-even in cash covers them too.</p>
        <div className="mt-6">
          <RatesGrid />
        </div>
        <div className="mt-6">
          <SalesTaxRates />
        </div>
        <div className="mt-6">
          <TaxOnPurchases />
        </div>
        <div className="mt-6">
          <UnitsGrid />
        </div>
        <h2 className="text-section mt-6">Book file</h2>
        <p className="text-soft">
          The whole book as one file, without its history. It can be imported again as a new book.
        </p>
        <p className="mt-2">
          <a className="btn" href={`/api/books/${settings.id}/file`} download={`${settings.name}.nuvar.json`}>
            Download the book file
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
      <h2 className="text-section mt-6">Appearance</h2>
      <fieldset className="flex gap-5">
        <legend className="sr-only">Colours</legend>
        {(['light', 'dark', 'system'] as const).map((each) => (
          <label key={each} className="flex items-center gap-2">
            <input
              type="radio"
              name="theme"
              className="radio radio-xs"
              checked={theme === each}
              onChange={() => {
                setTheme(each);
                applyTheme(each);
              }}
            />
            {each === 'system' ? 'match system' : each}
          </label>
        ))}
      </fieldset>
    </>
  );
}

const ROLE_WORDS = { owner: 'owner', editor: 'editor: can edit', reader: 'reader: can read' };

function People({ bookId, isOwner }: { bookId: string; isOwner: boolean }) {
  const { data: members } = useMembersQuery(bookId);
  const { data: session } = useSessionQuery();
  const [put, putting] = usePutMemberMutation();
  const [remove, removing] = useRemoveMemberMutation();
  const { pathname } = useLocation();
  const failed = putting.error ?? removing.error;
  const isGuest = session?.user?.isGuest === true;
  const mayManage = isOwner && !isGuest;
  return (
    <>
      <h2 className="text-section">People</h2>
      <table className="table">
        <tbody>
          {members?.map((member) => (
            <tr key={member.userId}>
              <th scope="row">
                {member.name} <span className="text-soft">{member.email}</span>
              </th>
              <td>
                {mayManage ? (
                  <select
                    className="select"
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
                {(mayManage || (member.userId === session?.user?.id && !isGuest)) && (
                  <button
                    type="button"
                    className="btn btn-ghost"
                    onClick={() => void remove({ bookId, userId: member.userId })}
                  >
                    {member.userId === session?.user?.id ? 'Leave' : 'Remove'}
                  </button>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {failed !== undefined && (
        <p className="text-error" role="alert">
          {problemsOf(failed)[0]?.sentence}
        </p>
      )}
      {isGuest && (
        <p className="text-soft">
          A guest works alone.{' '}
          <Link className="link link-primary" to={`/sign-in?to=${encodeURIComponent(pathname)}`}>
            Create an account
          </Link>{' '}
          to keep this book and to work on it with others.
        </p>
      )}
      {mayManage && <AddMember bookId={bookId} />}
    </>
  );
}

function AddMember({ bookId }: { bookId: string }) {
  const [put, { isLoading }] = usePutMemberMutation();
  const form = useCheckedForm(AddMemberForm, { email: '', role: 'editor' });
  const submit = form.handleSubmit((given) =>
    put({ bookId, ...given })
      .unwrap()
      .then(() => form.reset(), form.refuse),
  );
  return (
    <form className="mt-3" onSubmit={(event) => void submit(event)} noValidate>
      <div className="flex flex-wrap items-end gap-3">
        <FormEntry label="E-mail address" problem={form.problemOf('email')}>
          <input type="email" className="input w-64" {...form.register('email')} />
        </FormEntry>
        <FormEntry label="Role" problem={form.problemOf('role')}>
          <select className="select w-40" {...form.register('role')}>
            {Object.entries(ROLE_WORDS).map(([role, words]) => (
              <option key={role} value={role}>
                {words}
              </option>
            ))}
          </select>
        </FormEntry>
        <button type="submit" className="btn" disabled={isLoading}>
          Add
        </button>
      </div>
      <FormProblem>{form.generalProblem}</FormProblem>
    </form>
  );
}

function RemoveBook({ id, name }: { id: string; name: string }) {
  const navigate = useNavigate();
  const [remove, removing] = useRemoveBookMutation();
  const [typed, setTyped] = useState('');
  return (
    <details className="mt-8">
      <summary className="link link-primary">Delete this book</summary>
      <p className="mt-2">This cannot be undone. Download the book file first. To remove it, type its name:</p>
      <div className="mt-2 flex gap-3">
        <input
          className="input w-64"
          aria-label="Name of the book"
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
        />
        <button
          type="button"
          className="btn"
          disabled={typed !== name}
          onClick={() =>
            void remove(id)
              .unwrap()
              // What failed is said below, and one stays here.
              .then(
                () => navigate('/books'),
                () => undefined,
              )
          }
        >
          Remove {name}
        </button>
      </div>
      {removing.error !== undefined && (
        <p className="mt-1 text-error" role="alert">
          {problemsOf(removing.error)[0]?.sentence}
        </p>
      )}
    </details>
  );
}
