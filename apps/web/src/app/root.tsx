import { isRouteErrorResponse, Link, Navigate, Outlet, useLocation, useRouteError } from 'react-router';
import { useSessionQuery } from '../state/api.js';
import { Notices } from './notices.js';
import { LoneScreen } from '../controls/layout/lone-screen.js';

export function Root() {
  return (
    <>
      <Outlet />
      <Notices />
    </>
  );
}

/** Shows what only signed-in people may see; others are asked to sign in and then come back here. */
export function SignedIn() {
  const { data: session, isError, refetch } = useSessionQuery();
  const { pathname } = useLocation();
  if (isError) {
    return (
      <LoneScreen>
        <h1 className="font-serif text-title">The server does not answer</h1>
        <p>Nothing is lost: what was not sent yet is kept on this machine.</p>
        <button type="button" className="btn btn-primary" onClick={() => void refetch()}>
          Try again
        </button>
      </LoneScreen>
    );
  }
  if (session === undefined) return null;
  return session.user === null ? <Navigate to={`/sign-in?to=${encodeURIComponent(pathname)}`} replace /> : <Outlet />;
}

/** Stands in for a screen that is not there or could not be shown. */
export function ErrorScreen() {
  const error = useRouteError();
  const missing = isRouteErrorResponse(error) && error.status === 404;
  return (
    <LoneScreen>
      <h1 className="font-serif text-title">{missing ? 'Page not found' : 'This page could not be shown'}</h1>
      <p>
        {missing
          ? 'The address may be wrong, or the page may have been removed.'
          : 'Your entries are safe. Reloading the page usually helps.'}
      </p>
      <p>
        <Link className="link link-primary" to="/books">
          To your books
        </Link>
      </p>
    </LoneScreen>
  );
}
