import { isRouteErrorResponse, Link, Navigate, Outlet, useLocation, useRouteError } from 'react-router';
import { useSessionQuery } from '../state/api.js';
import { Notices } from './notices.js';

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
      <main className="lone-screen">
        <h1 className="screen-title">The server does not answer</h1>
        <p>Nothing is lost: what was not sent yet is kept on this machine.</p>
        <button type="button" className="button button-main" onClick={() => void refetch()}>
          Try again
        </button>
      </main>
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
    <main className="lone-screen">
      <h1 className="screen-title">
        {missing ? 'There is nothing at this address' : 'This screen could not be shown'}
      </h1>
      <p>
        {missing
          ? 'The address may be mistyped, or what stood here is gone.'
          : 'What you have entered is safe. Loading the page again usually helps.'}
      </p>
      <p>
        <Link className="link" to="/books">
          To your books
        </Link>
      </p>
    </main>
  );
}
