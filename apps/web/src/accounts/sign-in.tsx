import { LEAST_PASSWORD } from '@nuvar/book';
import { useState } from 'react';
import { Link, Navigate, useSearchParams } from 'react-router';
import { FormEntry, FormProblem } from '../controls/fields/form-entry.js';
import { LoneScreen } from '../controls/layout/lone-screen.js';
import { useCheckedForm } from '../controls/fields/use-checked-form.js';
import { WORDMARK } from '../figures/wordmark.js';
import {
  problemsOf,
  useBooksQuery,
  useSessionQuery,
  useSignInMutation,
  useSignInToDemoMutation,
  useSignUpMutation,
} from '../state/api.js';
import { SignInForm, SignUpForm } from './forms.js';

/** Sign in, sign up, or look at the demo book. */
export function SignIn() {
  const [parameters] = useSearchParams();
  const { data: session, isLoading } = useSessionQuery();
  const isGuest = session?.user?.isGuest === true;
  const [chosen, setChosen] = useState<boolean | null>(null);
  const isNew = chosen ?? isGuest;
  const [demo, opening] = useSignInToDemoMutation();
  // Who has only just become a guest is led to the one book that they have.
  const { data: books, isError } = useBooksQuery(undefined, { skip: !isGuest || !opening.isSuccess });
  const target = parameters.get('to');
  if (isGuest && opening.isSuccess)
    return books || isError ? <Navigate to={`/books/${books?.[0]?.id ?? ''}`} replace /> : null;
  // A guest comes here to make an account.
  if (session?.user && !isGuest) return <Navigate to={target?.startsWith('/books') ? target : '/books'} replace />;
  // What the server says of the demo would push the form away from under a click.
  if (isLoading) return null;
  return (
    <LoneScreen>
      <h1 className={`${WORDMARK} text-[2.6rem] leading-none`}>Nuvar</h1>
      <p className="text-lg">What one unit really costs, what to ask for it, and how many you must sell.</p>
      {isGuest && (
        <p>
          Create an account to keep the book that you are trying out, with all that you have changed in it.{' '}
          <Link className="link link-primary" to={target?.startsWith('/books') ? target : '/books'}>
            Back to it
          </Link>
        </p>
      )}
      {session?.demo && !isGuest && (
        <div className="flex flex-wrap items-center justify-between gap-x-6 gap-y-3 border-t-2 border-b border-t-base-content border-b-base-300 py-3">
          <p>
            See it at work first: <strong>Quillfern Pottery</strong>, an invented studio with its clay, glaze, kiln and
            prices. You get a copy of your own: nobody else sees what you try, and it is deleted a day after your last
            visit.
          </p>
          <button type="button" className="btn btn-primary" onClick={() => void demo()} disabled={opening.isLoading}>
            Open the demo book
          </button>
          <FormProblem>{opening.error && problemsOf(opening.error)[0]?.sentence}</FormProblem>
        </div>
      )}
      {isNew ? <SignUp goBack={() => setChosen(false)} /> : <SignInToAccount goOn={() => setChosen(true)} />}
    </LoneScreen>
  );
}

function SignInToAccount({ goOn }: { readonly goOn: () => void }) {
  const [signIn, { isLoading }] = useSignInMutation();
  const form = useCheckedForm(SignInForm, { email: '', password: '' });
  const submit = form.handleSubmit((given) => signIn(given).unwrap().catch(form.refuse));
  return (
    <form className="flex flex-col gap-3" onSubmit={(event) => void submit(event)} noValidate>
      <h2 className="text-section">Sign in</h2>
      <FormEntry label="E-mail address" problem={form.problemOf('email')}>
        <input type="email" autoComplete="email" className="input" {...form.register('email')} />
      </FormEntry>
      <FormEntry label="Password" problem={form.problemOf('password')}>
        <input type="password" autoComplete="current-password" className="input" {...form.register('password')} />
      </FormEntry>
      <FormProblem>{form.generalProblem}</FormProblem>
      <div className="flex items-center gap-4">
        <button type="submit" className="btn btn-primary" disabled={isLoading}>
          Sign in
        </button>
        <button type="button" className="link link-primary" onClick={goOn}>
          I am new here
        </button>
      </div>
    </form>
  );
}

function SignUp({ goBack }: { readonly goBack: () => void }) {
  const [signUp, { isLoading }] = useSignUpMutation();
  const form = useCheckedForm(SignUpForm, { name: '', email: '', password: '' });
  const submit = form.handleSubmit((given) => signUp(given).unwrap().catch(form.refuse));
  return (
    <form className="flex flex-col gap-3" onSubmit={(event) => void submit(event)} noValidate>
      <h2 className="text-section">Create an account</h2>
      <FormEntry label="Your name" problem={form.problemOf('name')}>
        <input autoComplete="name" className="input" {...form.register('name')} />
      </FormEntry>
      <FormEntry label="E-mail address" problem={form.problemOf('email')}>
        <input type="email" autoComplete="email" className="input" {...form.register('email')} />
      </FormEntry>
      <FormEntry label="Password" hint={`At least ${LEAST_PASSWORD} characters.`} problem={form.problemOf('password')}>
        <input type="password" autoComplete="new-password" className="input" {...form.register('password')} />
      </FormEntry>
      <FormProblem>{form.generalProblem}</FormProblem>
      <div className="flex items-center gap-4">
        <button type="submit" className="btn btn-primary" disabled={isLoading}>
          Create account
        </button>
        <button type="button" className="link link-primary" onClick={goBack}>
          I have an account
        </button>
      </div>
    </form>
  );
}
