import { useEffect, useRef } from 'react';
import type { Run } from './use-run.ts';

/** What stands in one vessel and must never: said first, whatever one is at, with what to do before anything else. */
export function Together({ run: { state } }: { run: Run }) {
  const box = useRef<HTMLElement>(null);
  const [first] = state.together;
  const says = first?.says;
  useEffect(() => {
    if (says !== undefined) box.current?.scrollIntoView({ block: 'center' });
  }, [says]);
  if (!first || state.status === 'done') return null;
  return (
    <section ref={box} className="caution caution-stop" role="alert" aria-label="Do this first">
      {state.together.map(({ says, why }) => (
        <div key={says}>
          <p>
            <b>{says}.</b>
          </p>
          <p className="small">{why}</p>
        </div>
      ))}
      <ol>
        {first.moves.map((sentence) => (
          <li key={sentence}>{sentence}</li>
        ))}
      </ol>
      <p className="small">
        In danger, the emergency number first. What was done stays on the record. Local codes and those who are trained
        for it decide what becomes of it.
      </p>
    </section>
  );
}
