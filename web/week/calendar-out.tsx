import { Button } from 'antd';
import { sentenceOf } from '../api/client.ts';
import { useShare } from '../api/share.ts';
import { useChangeFeedKey, useFeedKey } from '../api/week.ts';

/** The week for a calendar: as a file, and as a feed that it asks again. */
export function CalendarOut() {
  const feed = useFeedKey();
  const share = useShare();
  const change = useChangeFeedKey();
  const key = feed.data?.key ?? null;
  const origins = share.data?.on ? share.data.urls : [];
  const here = `${window.location.origin}/api/week/calendar.ics`;
  return (
    <section aria-label="For a calendar">
      <h2>For a calendar</h2>
      <p>
        <a href="/api/week/calendar.ics?save=1" download="bench-week.ics">
          Save it as a calendar file
        </a>
      </p>
      <p className="small week-address">
        On this machine a calendar may fetch it from <code>{here}</code>; what moves keeps its event.
      </p>
      {key === null ? (
        <Button onClick={() => change.mutate(true)} loading={change.isPending}>
          Make an address for other devices
        </Button>
      ) : (
        <>
          {origins.length === 0 ? (
            <p className="small">
              The notebook is not open to the home network: start it with --share, then other devices reach it.
            </p>
          ) : null}
          {origins.slice(0, 2).map((url) => (
            <p key={url} className="small week-address">
              <code>{`${url.replace(/\/$/, '')}/api/week/calendar.ics?key=${key}`}</code>
            </p>
          ))}
          <p className="quiet small">
            Whoever has the address reads the week, and nothing else. Nothing is encrypted on the way.
          </p>
          <Button onClick={() => change.mutate(false)} loading={change.isPending}>
            Withdraw the address
          </Button>
        </>
      )}
      {change.isError ? <p className="problem">{sentenceOf(change.error)}</p> : null}
    </section>
  );
}
