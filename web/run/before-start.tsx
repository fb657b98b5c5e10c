import { Checkbox, Input } from 'antd';
import { useMemo, useState } from 'react';
import type { Preparation } from '#run/care';
import { useBatches, useBottles } from '../api/queries.ts';
import { Field } from '../kit/field.tsx';
import { today } from '../parts/day.ts';
import { useCompute } from '../worker/compute.ts';
import type { Run } from './use-run.ts';

/** What to see to before one starts, once a day for each batch: ticked or left with why, and kept in the record. */
export function BeforeStart({ run }: { run: Run }) {
  const { state, batch, events } = run;
  const bottles = useBottles();
  const batches = useBatches();
  const [open, setOpen] = useState(false);
  const over = state.status === 'done' || state.status === 'abandoned';
  const seen = events.some(({ body, happened }) => body.kind === 'prepared' && dayOf(happened.at) === today());
  const wanted = !over && !seen;
  const care = useCompute(
    'care',
    useMemo(
      () =>
        wanted && open
          ? {
              plan: batch.plan,
              events,
              shelf: (bottles.data ?? []).map(({ id, card, usedG, archived }) => ({ id, card, usedG, archived })),
              before: (batches.data ?? []).flatMap(({ id, vessel, number, residue }) =>
                vessel !== null && id !== batch.id && residue.length > 0 ? [{ vessel, number, present: residue }] : [],
              ),
            }
          : undefined,
      [wanted, open, batch.id, batch.plan, events, bottles.data, batches.data],
    ),
  );
  if (!wanted) return null;
  if (!open)
    return (
      <p className="before-start">
        <button type="button" className="link" onClick={() => setOpen(true)}>
          Before you start today: what to see to …
        </button>
      </p>
    );
  if (!care.value) return <p className="waiting-block">Looking at the plan and the shelf …</p>;
  return <List run={run} list={care.value.preparations} />;
}

/** Day of an instant here, as the calendar on the wall has it. */
function dayOf(at: string): string {
  const then = new Date(at);
  const two = (n: number) => String(n).padStart(2, '0');
  return `${then.getFullYear()}-${two(then.getMonth() + 1)}-${two(then.getDate())}`;
}

function List({ run, list }: { run: Run; list: readonly Preparation[] }) {
  const [ticked, setTicked] = useState<readonly string[]>([]);
  const [why, setWhy] = useState('');
  const left = list.filter(({ id }) => !ticked.includes(id));
  const keep = () => {
    run.enter({
      kind: 'prepared',
      seenTo: list.filter(({ id }) => ticked.includes(id)).map(({ says }) => says),
      left: left.map(({ says }) => ({ says, why: why.trim() })),
    });
  };
  return (
    <section className="pane before-start" aria-label="Before you start">
      <h2>Before you start</h2>
      <ul className="before-list">
        {list.map(({ id, says, why: because }) => (
          <li key={id}>
            <Checkbox
              checked={ticked.includes(id)}
              onChange={(event) =>
                setTicked((before) => (event.target.checked ? [...before, id] : before.filter((each) => each !== id)))
              }
            >
              {says} {because ? <span className="quiet small">{because}</span> : null}
            </Checkbox>
          </li>
        ))}
      </ul>
      {left.length > 0 && ticked.length > 0 ? (
        <Field label={`${left.length} not seen to: why`}>
          {(bound) => <Input {...bound} value={why} maxLength={200} onChange={(event) => setWhy(event.target.value)} />}
        </Field>
      ) : null}
      <p className="row">
        <button type="button" className="act" disabled={ticked.length === 0} onClick={keep}>
          {left.length === 0 ? 'All seen to' : `${ticked.length} of ${list.length} seen to`}
        </button>
        <span className="quiet small">It stands in the record with today’s day.</span>
      </p>
    </section>
  );
}
