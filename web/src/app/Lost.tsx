import { isRouteErrorResponse, Link, useRouteError } from 'react-router';

/** Nothing at this address, or a screen that failed: what happened, and the way back. */
export function Lost() {
  const error = useRouteError();
  const words =
    error === undefined || error === null
      ? 'There is no sheet at this address.'
      : isRouteErrorResponse(error)
        ? error.statusText
        : error instanceof Error
          ? error.message
          : String(error);
  return (
    <main className="lost">
      <h1>Not on this bench</h1>
      <p>{words}</p>
      <p>
        <Link to="/">Back to your builds</Link>. What you typed is kept.
      </p>
    </main>
  );
}
