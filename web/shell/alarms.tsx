import { useEffect, useRef, useState } from 'react';
import { Link } from 'react-router';
import { useClock } from '../api/queries.ts';
import { dueText } from '../parts/due-text.ts';
import { useNow } from '../parts/use-now.ts';
import { beep } from './beep.ts';
import { useChoice } from './choice.tsx';

const AGAIN_MS = 30_000;

/** Alarms of all batches: a limit passed, a timer run out, a look missed. Heard as well as seen, unless silenced. */
export function Alarms() {
  const clock = useClock();
  const now = useNow(1000);
  const [sound] = useChoice('sound');
  const [quietUntil, setQuietUntil] = useState(0);
  const lastBeep = useRef(0);
  const due = (clock.data?.items ?? []).filter((item) => item.kind === 'alarm' || dueText(item, now).late);
  const loud = due.length > 0 && now > quietUntil;
  useEffect(() => {
    if (!loud || sound !== 'on' || now - lastBeep.current < AGAIN_MS) return;
    lastBeep.current = now;
    beep(due.some((item) => item.kind === 'alarm') ? 3 : 1);
  }, [loud, sound, now, due]);
  const alarms = due.filter((item) => item.kind === 'alarm');
  return (
    <>
      {alarms.map((item) => (
        <p key={`${item.batchId}:${item.text}`} className="alarm" role="alert">
          <Link to={`/bench/${item.batchId}?step=${item.step}`}>{item.text}</Link>
        </p>
      ))}
      {loud && sound === 'on' ? (
        <button type="button" className="alarm-quiet" onClick={() => setQuietUntil(now + 10 * 60_000)}>
          Quiet for ten minutes
        </button>
      ) : null}
    </>
  );
}
