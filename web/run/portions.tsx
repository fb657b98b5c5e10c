import { useState } from 'react';
import { parseReading } from '#base/reading';
import type { PortionState, StepState } from '#run/state';
import { ReadingField } from '../kit/reading-field.tsx';
import { Num } from '../parts/num.tsx';
import type { Run } from './use-run.ts';

/** Test portions of this step: what each told, scaled to the batch, and whether it went back. */
export function Portions({ run, step }: { run: Run; step: StepState }) {
  const portions = run.state.portions.filter((each) => each.step === step.key);
  if (portions.length === 0) return null;
  return (
    <ul className="portions" aria-label="Test portions">
      {portions.map((portion) => (
        <Portion key={portion.eventId} run={run} step={step} portion={portion} />
      ))}
    </ul>
  );
}

function Portion({ run, step, portion }: { run: Run; step: StepState; portion: PortionState }) {
  const [text, setText] = useState('');
  const [problem, setProblem] = useState('');
  const [open, setOpen] = useState(false);
  const tell = () => {
    const read = parseReading(text, 'g');
    if (!read.ok) return setProblem(read.problem.message);
    run.enter({ kind: 'portion-tested', step: step.key, portion: portion.eventId, reading: read.value, says: '' });
    setOpen(false);
  };
  const back = () => {
    const body = run.events.find(({ id }) => id === portion.eventId)?.body;
    if (body?.kind === 'portion-taken')
      run.enter({ kind: 'corrected', of: portion.eventId, body: { ...body, returned: true }, reason: 'poured back' });
  };
  return (
    <li>
      Test portion of {portion.taken} for {portion.purpose}
      {portion.returned ? ', back in the vessel' : ''}.{' '}
      {portion.forBatch ? (
        <>
          For the whole batch: <Num figure={portion.forBatch} />
        </>
      ) : (
        <button type="button" className="link" aria-expanded={open} onClick={() => setOpen(!open)}>
          Enter what it took
        </button>
      )}{' '}
      {portion.returned ? null : (
        <button type="button" className="link" onClick={back}>
          It went back in
        </button>
      )}
      {open ? (
        <form
          className="pane-row"
          onSubmit={(event) => {
            event.preventDefault();
            tell();
          }}
        >
          <ReadingField
            label="It took, to its endpoint"
            unit="g"
            text={text}
            placeholder="0.42"
            onText={(next) => {
              setText(next);
              setProblem('');
            }}
            problem={problem}
          />
          <button type="submit" className="tab">
            Scale it
          </button>
        </form>
      ) : null}
    </li>
  );
}
