import { lazy, Suspense, useEffect, useMemo, useRef, useState } from 'react';
import { Link } from 'react-router';
import { USUAL_HOURS, withinClock } from '#matter/gear';
import { useBench, useClock } from '../api/queries.ts';
import { useNotices, useSeeNotice, useSoon } from '../api/week.ts';
import { span } from '../parts/due-text.ts';
import { useNow } from '../parts/use-now.ts';
import { beep } from './beep.ts';
import { useChoice } from './choice.tsx';
import { type Due, dueByClock, dueByWeek, unseen } from './due-now.ts';
import { tell } from './notify.ts';
import './told.css';

// Fetched when something is first put off: nothing of it belongs to the first load.
const PutOff = lazy(async () => ({ default: (await import('./put-off.tsx')).PutOff }));

const MINUTE_MS = 60_000;
/** How often something unseen sounds again, and is shown again. */
const SOUND_MS = 30_000;
const SHOW_MS = { alarm: MINUTE_MS, due: 5 * MINUTE_MS } as const;
/** An alarm that was seen is not told again for so long; on the strip it stands until its cause is gone. */
const ALARM_QUIET_MS = 10 * MINUTE_MS;
const MOST = 3;

/** What wants somebody now, until somebody has seen it: on the page, as a sound, and as the browser’s own notice. */
export function Told() {
  const now = useNow(1000);
  const due = useDue(now);
  const see = useSeeNotice();
  const [later, setLater] = useState<string | null>(null);
  useSound(due, now);
  useShown(due, now);
  const seen = ({ key, alarm }: Due) =>
    see.mutate({
      of: key,
      until: alarm ? new Date(now + ALARM_QUIET_MS).toISOString() : null,
      reason: alarm ? 'seen, still so' : '',
    });
  if (due.length === 0) return null;
  return (
    <section className="told" aria-label="Due now">
      <ul>
        {due.slice(0, MOST).map((each) => (
          <li key={each.key} className={each.alarm ? 'told-alarm' : ''} role={each.alarm ? 'alert' : undefined}>
            <Link to={each.url}>{each.text}</Link>
            <span className="told-since">{now - each.since < MINUTE_MS ? 'now' : `for ${span(now - each.since)}`}</span>
            <button type="button" className="link" onClick={() => seen(each)} aria-label={`Seen: ${each.text}`}>
              Seen
            </button>
            {each.alarm ? null : (
              <button
                type="button"
                className="link"
                aria-expanded={later === each.key}
                aria-label={`Later: ${each.text}`}
                onClick={() => setLater(later === each.key ? null : each.key)}
              >
                Later …
              </button>
            )}
            {later === each.key ? (
              <Suspense fallback={null}>
                <PutOff
                  now={now}
                  onPutOff={(until, reason) => {
                    see.mutate({ of: each.key, until, reason });
                    setLater(null);
                  }}
                />
              </Suspense>
            ) : null}
          </li>
        ))}
      </ul>
      {due.length > MOST ? <p className="told-more">and {due.length - MOST} more, on the strip below</p> : null}
    </section>
  );
}

function useDue(now: number): readonly Due[] {
  const clock = useClock();
  const soon = useSoon();
  const notices = useNotices();
  return useMemo(() => {
    if (!clock.data || !notices.data) return [];
    const all = [...dueByClock(clock.data, now), ...(soon.data ? dueByWeek(soon.data, now) : [])];
    return [...unseen(all, notices.data, now)].sort((a, b) => Number(b.alarm) - Number(a.alarm) || a.since - b.since);
  }, [clock.data, soon.data, notices.data, now]);
}

/** Sounds again and again; in quiet hours only for an alarm. */
function useSound(due: readonly Due[], now: number): void {
  const [sound] = useChoice('sound');
  const bench = useBench();
  const last = useRef(0);
  const { quiet } = bench.data?.bench.hours ?? USUAL_HOURS;
  const hour = new Date(now).getHours() + new Date(now).getMinutes() / 60;
  const alarm = due.some((each) => each.alarm);
  const silent = sound !== 'on' || due.length === 0 || (!alarm && quiet !== null && withinClock(quiet, hour));
  useEffect(() => {
    if (silent || now - last.current < SOUND_MS) return;
    last.current = now;
    beep(alarm ? 3 : 1);
  }, [silent, alarm, now]);
}

/** Shows it as the browser’s own notice, again until it is seen. */
function useShown(due: readonly Due[], now: number): void {
  const [told] = useChoice('told');
  const shown = useRef(new Map<string, number>());
  useEffect(() => {
    if (told !== 'on') return;
    for (const each of due) {
      const last = shown.current.get(each.key) ?? Number.NEGATIVE_INFINITY;
      if (now - last < SHOW_MS[each.alarm ? 'alarm' : 'due']) continue;
      shown.current.set(each.key, now);
      void tell(each);
    }
  }, [told, due, now]);
}
