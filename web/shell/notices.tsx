import { useState } from 'react';
import { useAnswering } from '../api/client.ts';
import { asText, giveUp, type RefusedEntry, sendAgain, sendAsAnother, useOutbox } from '../api/outbox.ts';
import { clockAhead } from '../kit/clock.ts';

/** A clock that is this far off is said, ms. */
const SAID_FROM_MS = 60_000;

/** Said when entries wait for the server, when this device keeps nothing, when they were not taken, or a clock is wrong. */
export function Notices() {
  const { waiting, refused, away: unsent, trouble, kept, ofOthers } = useOutbox();
  const away = useAnswering().away || unsent;
  const ahead = clockAhead() ?? 0;
  return (
    <div role="status" style={{ display: 'contents' }}>
      {away && waiting.length === 0 ? (
        <p className="notice">
          <b>The server does not answer.</b> What you see is what it said last. What you enter at the bench is kept{' '}
          {kept ? 'on this device' : 'in this tab'} and sent when it is back; the page asks again by itself.
        </p>
      ) : null}
      {away && waiting.length > 0 ? (
        <p className="notice">
          <b>The server is away.</b> {waiting.length === 1 ? '1 entry is' : `${waiting.length} entries are`} kept{' '}
          {kept ? 'on this device' : 'only in this tab: do not close it. They'} {kept ? 'and ' : ''}will be sent when it
          is back. Go on working. {kept ? null : <Copy />}
        </p>
      ) : null}
      {trouble && waiting.length > 0 ? (
        <p className="notice">
          <b>Not written yet.</b> {trouble} {waiting.length === 1 ? '1 entry is' : `${waiting.length} entries are`} kept{' '}
          {kept ? 'on this device' : 'only in this tab: do not close it'}; {waiting.length === 1 ? 'it is' : 'they are'}{' '}
          tried again every few seconds. {kept ? null : <Copy />}
        </p>
      ) : null}
      {!kept && !away && waiting.length + refused.length > 0 ? (
        <p className="notice">
          <b>This device keeps nothing for this page.</b> What is not sent yet is only in this tab: do not close it.{' '}
          <Copy />
        </p>
      ) : null}
      {ofOthers > 0 ? (
        <p className="notice">
          <b>Another notebook is open here.</b> {ofOthers === 1 ? '1 entry waits' : `${ofOthers} entries wait`} for the
          one they were made in.
        </p>
      ) : null}
      {Math.abs(ahead) > SAID_FROM_MS ? (
        <p className="notice">
          <b>
            This device’s clock is {minutes(ahead)} {ahead < 0 ? 'ahead' : 'behind'}.
          </b>{' '}
          Entries get the server’s time.
        </p>
      ) : null}
      {refused.map((each) => (
        <NotTaken key={each.event.id} entry={each} />
      ))}
    </div>
  );
}

function minutes(ms: number): string {
  const whole = Math.round(Math.abs(ms) / 60_000);
  return whole === 1 ? '1 minute' : `${whole} minutes`;
}

/** An entry that was not taken: what it said, why, and what can become of it. It goes only when its owner lets it. */
function NotTaken({ entry }: { entry: RefusedEntry }) {
  const { id } = entry.event;
  if (entry.code === 'same-again')
    return (
      <p className="notice">
        <b>Twice?</b> {entry.why}{' '}
        <button type="button" className="link" onClick={() => giveUp(id)}>
          The same one: once is right
        </button>{' '}
        <button type="button" className="link" onClick={() => sendAsAnother(id)}>
          It went in twice
        </button>
      </p>
    );
  return (
    <p className="notice">
      <b>Not taken:</b> {saysOf(entry)}. {entry.why}{' '}
      <button type="button" className="link" onClick={() => sendAgain(id, false)}>
        Send again
      </button>{' '}
      <button type="button" className="link" onClick={() => sendAgain(id, true)}>
        With now as its time
      </button>{' '}
      <Copy />{' '}
      <button type="button" className="link" onClick={() => giveUp(id)}>
        Let it go
      </button>
    </p>
  );
}

/** What an entry holds, in the words that were typed where there are some. */
function saysOf({ event }: RefusedEntry): string {
  const { kind } = event.body;
  const said = Object.entries(event.body)
    .filter(
      ([name, value]) => name !== 'kind' && (typeof value === 'string' || typeof value === 'number') && value !== '',
    )
    .map(([, value]) => String(value));
  return [kind.replace(/-/g, ' '), ...said].join(', ').slice(0, 160);
}

function Copy() {
  const [done, setDone] = useState(false);
  const copy = () => void navigator.clipboard?.writeText(asText()).then(() => setDone(true));
  return (
    <button type="button" className="link" onClick={copy}>
      {done ? 'Copied' : 'Copy'}
    </button>
  );
}
