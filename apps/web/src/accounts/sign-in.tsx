import { useState, type FormEvent } from 'react';
import { Link, Navigate, useSearchParams } from 'react-router';
import {
  problemsOf,
  useSessionQuery,
  useSignInMutation,
  useSignInToDemoMutation,
  useSignUpMutation,
} from '../state/api.js';

/** Sign in, sign up, or look at the demo book. */
export function SignIn() {
  const [parameters] = useSearchParams();
  const { data: session, isLoading } = useSessionQuery();
  const isGuest = session?.user?.isGuest === true;
  const [chosen, setChosen] = useState<boolean | null>(null);
  const isNew = chosen ?? isGuest;
  const [signIn, signingIn] = useSignInMutation();
  const [signUp, signingUp] = useSignUpMutation();
  const [demo, opening] = useSignInToDemoMutation();
  const target = parameters.get('to');
  // A guest comes here to make an account, unless they have only just become one.
  if (session?.user && (!isGuest || opening.isSuccess))
    return <Navigate to={target?.startsWith('/books') ? target : '/books'} replace />;
  // What the server says of the demo would push the form away from under a click.
  if (isLoading) return null;
  const failed = [isNew ? signingUp.error : signingIn.error, opening.error].find((error) => error !== undefined);
  const problems = failed === undefined ? [] : problemsOf(failed);
  const problemAt = (field: string) => problems.find((each) => each.field === field)?.sentence;
  const general = problems.filter((each) => each.field === undefined);
  const submit = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const given = Object.fromEntries(new FormData(event.currentTarget)) as Record<
      'name' | 'email' | 'password',
      string
    >;
    void (isNew ? signUp(given) : signIn({ email: given.email, password: given.password }));
  };
  return (
    <main className="lone-screen">
      <h1 className="wordmark wordmark-large">Nuvar</h1>
      <p className="text-lg">What one unit really costs, what to ask for it, and how many you must sell.</p>
      {isGuest && (
        <p>
          Make an account to keep the book that you are trying out, with all that you have changed in it.{' '}
          <Link className="link" to={target?.startsWith('/books') ? target : '/books'}>
            Back to it
          </Link>
        </p>
      )}
      {session?.demo && !isGuest && (
        <div className="demo-offer">
          <p>
            See it at work first: <strong>Quillfern Pottery</strong>, an invented studio with its clay, glaze, kiln and
            prices. You get a copy of your own: nobody else sees what you try, and it is deleted a day after your last
            visit.
          </p>
          <button type="button" className="button button-main" onClick={() => void demo()} disabled={opening.isLoading}>
            Open the demo book
          </button>
        </div>
      )}
      <form className="stack" onSubmit={submit} noValidate>
        <h2 className="section-title">{isNew ? 'Make an account' : 'Sign in'}</h2>
        {isNew && <Entry name="name" label="Your name" autoComplete="name" problem={problemAt('name')} />}
        <Entry name="email" label="E-mail address" type="email" autoComplete="email" problem={problemAt('email')} />
        <Entry
          name="password"
          label="Password"
          type="password"
          autoComplete={isNew ? 'new-password' : 'current-password'}
          hint={isNew ? 'At least 10 characters.' : undefined}
          problem={problemAt('password')}
        />
        {general.map((each) => (
          <p key={each.sentence} className="hint-refused" role="alert">
            {each.sentence}
          </p>
        ))}
        <div className="flex items-center gap-4">
          <button type="submit" className="button button-main" disabled={signingIn.isLoading || signingUp.isLoading}>
            {isNew ? 'Make the account' : 'Sign in'}
          </button>
          <button type="button" className="link" onClick={() => setChosen(!isNew)}>
            {isNew ? 'I have an account' : 'I am new here'}
          </button>
        </div>
      </form>
    </main>
  );
}

interface EntryProps {
  readonly name: string;
  readonly label: string;
  readonly type?: string;
  readonly autoComplete: string;
  readonly hint?: string | undefined;
  readonly problem: string | undefined;
}

function Entry({ name, label, type = 'text', autoComplete, hint, problem }: EntryProps) {
  const below = problem ?? hint;
  return (
    <label className="entry">
      <span>{label}</span>
      <input
        name={name}
        type={type}
        autoComplete={autoComplete}
        className="input-box"
        aria-invalid={problem !== undefined}
      />
      {below !== undefined && (
        <span className={problem === undefined ? 'text-soft text-sm' : 'hint-refused text-sm'}>{below}</span>
      )}
    </label>
  );
}
