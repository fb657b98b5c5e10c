import { dismissRefused, useOutbox } from '../api/outbox.ts';

/** Said when entries wait for the server, or it would not take them. */
export function Notices() {
  const { waiting, refused, away } = useOutbox();
  const first = refused[0];
  return (
    <div role="status" style={{ display: 'contents' }}>
      {away ? (
        <p className="notice">
          <b>The server is away.</b> {waiting.length === 1 ? '1 entry is' : `${waiting.length} entries are`} kept on
          this device and will be sent when it is back. Go on working.
        </p>
      ) : null}
      {first ? (
        <p className="notice">
          <b>{refused.length === 1 ? 'An entry was' : `${refused.length} entries were`} not taken:</b> {first.why}{' '}
          <button type="button" className="link" onClick={dismissRefused}>
            I have seen it
          </button>
        </p>
      ) : null}
    </div>
  );
}
