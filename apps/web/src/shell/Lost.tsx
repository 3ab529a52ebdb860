import { Link } from 'react-router';

/** An address that leads nowhere. */
export function Lost() {
  return (
    <div className="page">
      <h1 className="title">There is nothing here</h1>
      <p className="lead">The address leads nowhere.</p>
      <Link className="btn" to="/">
        Go to Today
      </Link>
    </div>
  );
}

/** A page that broke. */
export function Broken() {
  return (
    <main className="page">
      <h1 className="title">This page broke</h1>
      <p className="lead">Nothing that was logged is lost. Load the page again; if it breaks again, go back to Today.</p>
      <Link className="btn" to="/" reloadDocument>
        Go to Today
      </Link>
    </main>
  );
}
