import { Checkbox, Input } from 'antd';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import type { LeavingAnswer } from '#contract/api';
import { USUAL_HOURS } from '#matter/gear';
import type { RunEvent } from '#run/log';
import { sentenceOf } from '../api/client.ts';
import { newId } from '../api/ids.ts';
import { post } from '../api/outbox.ts';
import { useBench, useSaveBench } from '../api/queries.ts';
import { useLeaving } from '../api/week.ts';
import { notebookInstant, notebookTime } from '../kit/clock.ts';
import { Field } from '../kit/field.tsx';
import { fieldText, lengthText, whenSaid } from '../parts/when-text.ts';
import { LEFT_THE_BENCH, withAway } from './away-now.ts';
import './leaving.css';

const HOUR_MS = 3_600_000;
/** How long one is usually gone. */
const USUAL_H = 3;

/** Leaving the bench: until when, what to make safe first and in which order, what goes on and what falls due meanwhile. */
export function LeavingPage() {
  const [text, setText] = useState(() => fieldText(notebookTime() + USUAL_H * HOUR_MS));
  const at = Date.parse(text);
  const ahead = !Number.isNaN(at) && at > notebookTime();
  const back = ahead ? new Date(at).toISOString() : null;
  const leaving = useLeaving(back);
  return (
    <div className="leaving">
      <h1 className="leaving-head">I am leaving</h1>
      <Field label="Back by" problem={ahead ? '' : 'Say a day and a time that are still to come.'}>
        {(bound) => (
          <Input {...bound} type="datetime-local" value={text} onChange={(event) => setText(event.target.value)} />
        )}
      </Field>
      {leaving.isError ? (
        <>
          <p className="problem">{sentenceOf(leaving.error)}</p>
          <p>
            In any case, in this order: flames out, heat off, gas shut and its tube out of the liquid, nothing more
            added, current off, everything covered and written on.
          </p>
        </>
      ) : null}
      {back !== null && leaving.isPending ? (
        <p className="waiting-block">Looking at what stands on the bench …</p>
      ) : null}
      {leaving.data && back ? <Leave key={back} answer={leaving.data} /> : null}
    </div>
  );
}

function Leave({ answer }: { answer: LeavingAnswer }) {
  const { acts, min, goesOn, due, darkAt, now, back } = answer;
  const [safe, setSafe] = useState<ReadonlySet<string>>(new Set());
  const gone = useGone(answer);
  const present = Date.parse(now);
  const open = acts.filter(({ batchId, step }) => !safe.has(`${batchId} ${step}`)).length;
  const tick = (key: string, on: boolean) =>
    setSafe((before) => new Set(on ? [...before, key] : [...before].filter((each) => each !== key)));
  return (
    <>
      <section aria-label="Make safe first">
        <h2>{acts.length === 0 ? 'Nothing has to be made safe' : `First, in this order: about ${lengthText(min)}`}</h2>
        <ol className="leaving-acts">
          {acts.map(({ batchId, batch, step, title, act, min: minutes, costs }) => {
            const key = `${batchId} ${step}`;
            return (
              <li key={key}>
                <Checkbox checked={safe.has(key)} onChange={(event) => tick(key, event.target.checked)}>
                  <b>
                    {title}, {batch}
                  </b>{' '}
                  <span className="quiet">about {lengthText(minutes)}</span>
                </Checkbox>
                <p>{act}</p>
                <p className="quiet small">Costs: {costs}</p>
              </li>
            );
          })}
        </ol>
      </section>
      {goesOn.length > 0 ? (
        <section aria-label="Goes on by itself">
          <h2>Goes on by itself</h2>
          <ul className="leaving-list">
            {goesOn.map(({ batchId, text }) => (
              <li key={batchId + text}>
                <Link to={`/bench/${batchId}`}>{text}</Link>
              </li>
            ))}
          </ul>
        </section>
      ) : null}
      {due.length > 0 || darkAt ? (
        <section aria-label="Falls due meanwhile">
          <h2>Falls due before you are back</h2>
          <ul className="leaving-list">
            {due.map(({ batchId, step, text, at }) => (
              <li key={batchId + step + text}>
                <b className="mono">{at === null ? '' : whenSaid(Date.parse(at), present)}</b> {text}
              </li>
            ))}
            {darkAt ? (
              <li>
                <b className="mono">{whenSaid(Date.parse(darkAt), present)}</b> it is dark: nothing outdoors after that
              </li>
            ) : null}
          </ul>
        </section>
      ) : null}
      {open > 0 ? (
        <p className="watch">
          {open === 1 ? 'One thing is' : `${open} things are`} not made safe yet. Whatever else calls: heat off and gas
          shut come first.
        </p>
      ) : null}
      <button type="button" className="act" onClick={() => gone.go(safe)} disabled={gone.pending}>
        {open > 0 ? 'I must go all the same' : `I am gone until ${whenSaid(Date.parse(back), present)}`}
      </button>
      {gone.error ? <p className="problem">{sentenceOf(gone.error)}</p> : null}
    </>
  );
}

/** Writes down what was made safe, at each batch, and that one is away; then the bench. */
function useGone({ acts, back }: LeavingAnswer) {
  const bench = useBench();
  const save = useSaveBench();
  const navigate = useNavigate();
  const go = (safe: ReadonlySet<string>) => {
    if (!bench.data) return;
    for (const { batchId, step, act } of acts) {
      const done = safe.has(`${batchId} ${step}`);
      const text = done ? `Made safe before leaving: ${act}` : 'Left as it was: not made safe.';
      post(batchId, [noted(step, text)]);
    }
    const { hours = USUAL_HOURS } = bench.data.bench;
    const away = withAway(hours.away, { from: notebookInstant(), to: back, why: LEFT_THE_BENCH });
    save.mutate(
      { basedOn: bench.data.version, bench: { ...bench.data.bench, hours: { ...hours, away } } },
      { onSuccess: () => void navigate('/bench') },
    );
  };
  return { go, pending: save.isPending || !bench.data, error: save.error };
}

function noted(step: string, text: string): RunEvent {
  const now = notebookInstant();
  return {
    id: newId('ev'),
    happened: { at: now, giveOrTakeMin: 0 },
    writtenAt: now,
    body: { kind: 'noted', step, text },
  };
}
