import { LOCALES, pricesIncludeTaxIn, usualCurrency } from '@nuvar/book';
import { useRef, useState, type ChangeEvent } from 'react';
import { Link, useNavigate } from 'react-router';
import { FormEntry, FormProblem } from '../controls/fields/form-entry.js';
import { useCheckedForm } from '../controls/fields/use-checked-form.js';
import { WORDMARK } from '../figures/wordmark.js';
import { NewBookForm } from './forms.js';
import { localeName } from '../figures/format.js';
import {
  problemsOf,
  useBooksQuery,
  useMakeBookMutation,
  useSessionQuery,
  useSignOutMutation,
  useTakeInBookMutation,
  type BookSummary,
} from '../state/api.js';
import { LoneScreen } from '../controls/layout/lone-screen.js';

/** The books of a person, and the ways to a new one. */
export function BooksList() {
  const { data: session } = useSessionQuery();
  const { data: books, error, refetch } = useBooksQuery();
  const [signOut] = useSignOutMutation();
  return (
    <LoneScreen>
      <header className="flex items-baseline gap-4">
        <h1 className={WORDMARK}>Nuvar</h1>
        <span className="grow" />
        <span className="text-soft">{session?.user?.name}</span>
        {session?.user?.isGuest && (
          <Link className="link link-primary" to="/sign-in">
            Create an account
          </Link>
        )}
        <button type="button" className="link link-primary" onClick={() => void signOut()}>
          {session?.user?.isGuest ? 'Leave the demo' : 'Sign out'}
        </button>
      </header>
      <h2 className="font-serif text-title">Your books</h2>
      {session?.user?.isGuest && (
        <p className="text-soft">
          You are a guest: your books are deleted a day after your last visit, or when you leave the demo. Make an
          account to keep them.
        </p>
      )}
      {error !== undefined && books === undefined && (
        <p>
          {problemsOf(error)[0]?.sentence}{' '}
          <button type="button" className="link link-primary" onClick={() => void refetch()}>
            Try again
          </button>
        </p>
      )}
      {books !== undefined && <Books books={books} />}
    </LoneScreen>
  );
}

/** All of it in one go: what comes later would push the form away from under a click. */
function Books({ books }: { readonly books: readonly BookSummary[] }) {
  return (
    <>
      {books.length === 0 && (
        <p>You have no book yet. A book holds one business: what it buys, makes, pays and sells.</p>
      )}
      <ul className="[&>li]:border-b [&>li]:border-base-300">
        {books.map((book) => (
          <li key={book.id}>
            <Link to={`/books/${book.id}`} className="flex justify-between px-0.5 py-2.5 hover:bg-base-200">
              <span className="font-semibold">{book.name}</span>
              <span className="text-soft">
                {book.currency}, you are {book.role}
              </span>
            </Link>
          </li>
        ))}
      </ul>
      <NewBook />
      <BookFileIn />
    </>
  );
}

const CURRENCIES = [
  'EUR',
  'GBP',
  'USD',
  'CAD',
  'AUD',
  'NZD',
  'CHF',
  'SEK',
  'DKK',
  'NOK',
  'PLN',
  'CZK',
  'INR',
  'ZAR',
  'BRL',
  'JPY',
  'KWD',
];

function NewBook() {
  const navigate = useNavigate();
  const [make, { isLoading }] = useMakeBookMutation();
  const home = LOCALES.find((locale) => locale === navigator.language) ?? 'en-IE';
  const form = useCheckedForm(NewBookForm, { name: '', currency: usualCurrency(home), locale: home });
  const submit = form.handleSubmit(({ name, currency, locale }) =>
    make({ name: name.trim(), currency, locale, pricesIncludeTax: pricesIncludeTaxIn(locale) })
      .unwrap()
      .then(({ id }) => navigate(`/books/${id}`), form.refuse),
  );
  return (
    <form className="flex flex-col gap-3" onSubmit={(event) => void submit(event)} noValidate>
      <h2 className="text-section">New book</h2>
      <FormEntry label="Name of the business" problem={form.problemOf('name')}>
        <input
          className="input"
          autoComplete="organization"
          aria-invalid={form.problemOf('name') !== undefined}
          {...form.register('name')}
        />
      </FormEntry>
      <div className="flex flex-wrap gap-4">
        <FormEntry label="Country" problem={form.problemOf('locale')}>
          <select
            className="select"
            {...form.register('locale', {
              onChange: (event: ChangeEvent<HTMLSelectElement>) =>
                form.setValue('currency', usualCurrency(event.target.value)),
            })}
          >
            {LOCALES.map((locale) => (
              <option key={locale} value={locale}>
                {localeName(locale)}
              </option>
            ))}
          </select>
        </FormEntry>
        <FormEntry label="Currency" problem={form.problemOf('currency')}>
          <select className="select" {...form.register('currency')}>
            {CURRENCIES.map((code) => (
              <option key={code}>{code}</option>
            ))}
          </select>
        </FormEntry>
      </div>
      <FormProblem>{form.generalProblem}</FormProblem>
      <div>
        <button type="submit" className="btn btn-primary" disabled={isLoading}>
          Create book
        </button>
      </div>
    </form>
  );
}

function BookFileIn() {
  const navigate = useNavigate();
  const [takeIn, taking] = useTakeInBookMutation();
  const [refusal, setRefusal] = useState<readonly string[]>([]);
  const input = useRef<HTMLInputElement>(null);
  const read = async (file: File | undefined) => {
    if (file === undefined) return;
    setRefusal([]);
    let content: unknown;
    try {
      content = JSON.parse(await file.text());
    } catch {
      setRefusal(['This file holds no JSON, so it is not a book file.']);
      return;
    }
    const made = await takeIn(content);
    if (made.data) void navigate(`/books/${made.data.id}`);
    else setRefusal(problemsOf(made.error).map((each) => each.sentence));
  };
  return (
    <section className="flex flex-col gap-3">
      <h2 className="text-section">Import a book file</h2>
      <p className="text-soft">
        A file ending in .nuvar.json becomes a new book of yours. Nothing is imported unless all of it is valid.
      </p>
      <div>
        <button type="button" className="btn" onClick={() => input.current?.click()} disabled={taking.isLoading}>
          {taking.isLoading ? 'Reading the file' : 'Choose a file'}
        </button>
        <input
          ref={input}
          type="file"
          accept=".json,application/json"
          className="hidden"
          aria-label="Book file"
          onChange={(event) => void read(event.target.files?.[0])}
        />
      </div>
      {refusal.length > 0 && (
        <ul className="mt-2.5 border-l-3 border-error pl-2.5" role="alert">
          {refusal.slice(0, 10).map((sentence, index) => (
            <li key={index}>{sentence}</li>
          ))}
        </ul>
      )}
    </section>
  );
}
