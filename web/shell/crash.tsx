import { Link, useRouteError } from 'react-router';

/** When a page fails: said plainly, with a way on. What was entered is in the outbox or on the server already. */
export function Crash() {
  const error = useRouteError();
  const detail = error instanceof Error ? error.message : String(error);
  return (
    <div className="work">
      <h1>This page failed</h1>
      <p>Nothing that was entered is lost: entries are written, or kept on this device until they are.</p>
      <p className="quiet small">{detail}</p>
      <p>
        <Link to="/shelf" reloadDocument>
          Load it again
        </Link>
      </p>
    </div>
  );
}
