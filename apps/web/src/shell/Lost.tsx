import { Link, useRouteError } from 'react-router';

/** An address that leads nowhere, or a page that broke. */
export function Lost() {
  const error = useRouteError();
  return (
    <main className="page">
      <h1 className="title">{error === undefined ? 'There is nothing here' : 'This page broke'}</h1>
      <p className="lead">{error === undefined ? 'The address leads nowhere.' : 'Nothing that was logged is lost. Load the page again; if it breaks again, go back to Today.'}</p>
      <Link className="btn" to="/" reloadDocument={error !== undefined}>
        Go to Today
      </Link>
    </main>
  );
}
