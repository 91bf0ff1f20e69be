import { LOCALES } from '@nuvar/book';
import { useRef, useState, type FormEvent } from 'react';
import { Link, useNavigate } from 'react-router';
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

/** The books of a person, and the ways to a new one. */
export function BooksList() {
  const { data: session } = useSessionQuery();
  const { data: books, error, refetch } = useBooksQuery();
  const [signOut] = useSignOutMutation();
  return (
    <main className="lone-screen">
      <header className="flex items-baseline gap-4">
        <h1 className="wordmark">Nuvar</h1>
        <span className="grow" />
        <span className="text-soft">{session?.user?.name}</span>
        {session?.user?.isGuest && (
          <Link className="link" to="/sign-in">
            Make an account
          </Link>
        )}
        <button type="button" className="link" onClick={() => void signOut()}>
          {session?.user?.isGuest ? 'Leave the demo' : 'Sign out'}
        </button>
      </header>
      <h2 className="screen-title">Your books</h2>
      {session?.user?.isGuest && (
        <p className="text-soft">
          You are a guest: your books are deleted a day after your last visit, or when you leave the demo. Make an
          account to keep them.
        </p>
      )}
      {error !== undefined && books === undefined && (
        <p>
          {problemsOf(error)[0]?.sentence}{' '}
          <button type="button" className="link" onClick={() => void refetch()}>
            Try again
          </button>
        </p>
      )}
      {books !== undefined && <Books books={books} />}
    </main>
  );
}

/** All of it in one go: what comes later would push the form away from under a click. */
function Books({ books }: { readonly books: readonly BookSummary[] }) {
  return (
    <>
      {books.length === 0 && (
        <p>You have no book yet. A book holds one business: what it buys, makes, pays and sells.</p>
      )}
      <ul className="book-list">
        {books.map((book) => (
          <li key={book.id}>
            <Link to={`/books/${book.id}`} className="book-link">
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
  const [make, making] = useMakeBookMutation();
  const problem = making.error === undefined ? undefined : problemsOf(making.error)[0];
  const submit = async (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const {
      name = '',
      currency,
      locale,
    } = Object.fromEntries(new FormData(event.currentTarget)) as Record<string, string>;
    const made = await make({ name: name.trim(), currency, locale });
    if (made.data) void navigate(`/books/${made.data.id}`);
  };
  const home = LOCALES.find((locale) => locale === navigator.language) ?? 'en-IE';
  return (
    <form className="stack" onSubmit={(event) => void submit(event)}>
      <h2 className="section-title">Make a book</h2>
      <label className="entry">
        <span>Name of the business</span>
        <input
          name="name"
          className="input-box"
          maxLength={120}
          autoComplete="organization"
          aria-invalid={problem !== undefined}
        />
        {problem && (
          <span className="hint-refused text-sm" role="alert">
            {problem.sentence}
          </span>
        )}
      </label>
      <div className="flex flex-wrap gap-4">
        <label className="entry">
          <span>Currency</span>
          <select name="currency" className="input-box" defaultValue="EUR">
            {CURRENCIES.map((code) => (
              <option key={code}>{code}</option>
            ))}
          </select>
        </label>
        <label className="entry">
          <span>Country and language of numbers</span>
          <select name="locale" className="input-box" defaultValue={home}>
            {LOCALES.map((locale) => (
              <option key={locale} value={locale}>
                {localeName(locale)}
              </option>
            ))}
          </select>
        </label>
      </div>
      <div>
        <button type="submit" className="button button-main" disabled={making.isLoading}>
          Make the book
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
    <section className="stack">
      <h2 className="section-title">Take in a book file</h2>
      <p className="text-soft">
        A file ending in .nuvar.json becomes a new book of yours. Nothing is taken in unless all of it is right.
      </p>
      <div>
        <button type="button" className="button" onClick={() => input.current?.click()} disabled={taking.isLoading}>
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
        <ul className="gap-list" role="alert">
          {refusal.slice(0, 10).map((sentence, index) => (
            <li key={index}>{sentence}</li>
          ))}
        </ul>
      )}
    </section>
  );
}
