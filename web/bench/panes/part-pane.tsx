import { Select } from 'antd';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { codeOf, sentenceOf } from '#web/api/client.ts';
import { newId } from '#web/api/ids.ts';
import { useJoinBatch, useSplitBatch } from '#web/api/parting.ts';
import { useBatches } from '#web/api/queries.ts';
import { Field } from '#web/kit/field.tsx';
import { NumberField } from '#web/kit/number-field.tsx';
import type { PaneProps } from '#web/run/pane-props.ts';

/** Part of the batch becomes one of its own; both keep their lineage. */
export function SplitForm({ run, why }: { run: PaneProps['run']; why: string }) {
  const navigate = useNavigate();
  const split = useSplitBatch(run.batch.id);
  const [pct, setPct] = useState<number | null>(50);
  const [otherId] = useState(() => newId('batch'));
  return (
    <>
      <NumberField label="Part that goes" unit="%" value={pct} min={1} max={99} onChange={setPct} />
      <button
        type="button"
        className="tab"
        disabled={pct === null || split.isPending || run.waiting.size > 0}
        onClick={() =>
          split.mutate(
            { id: otherId, share: (pct ?? 50) / 100, why },
            { onSuccess: ({ id }) => void navigate(`/bench/${id}`) },
          )
        }
      >
        Split it
      </button>
      {split.isError ? (
        <p className="problem small" role="alert">
          {sentenceOf(split.error)}
        </p>
      ) : null}
    </>
  );
}

/** Another running batch of the same route comes into this one, whole. */
export function JoinForm({ run, onClose }: PaneProps) {
  const batches = useBatches();
  const join = useJoinBatch(run.batch.id);
  const [from, setFrom] = useState<string | undefined>();
  // Made when the form opens: sent again after a lost answer it joins once.
  const [joinId] = useState(() => newId('ev'));
  const others = (batches.data ?? []).filter(
    (each) => each.id !== run.batch.id && each.status === 'running' && each.routeId === run.batch.plan.route.id,
  );
  if (others.length === 0) return <p className="quiet">No other batch of this route is running.</p>;
  return (
    <>
      <Field label="Batch that comes in">
        {(bound) => (
          <Select
            {...bound}
            size="large"
            style={{ width: 280 }}
            {...(from ? { value: from } : {})}
            placeholder="choose it"
            options={others.map((each) => ({ value: each.id, label: `${each.number}, ${each.title}` }))}
            onChange={setFrom}
          />
        )}
      </Field>
      <button
        type="button"
        className="tab"
        disabled={!from || join.isPending || run.waiting.size > 0}
        onClick={() => from && join.mutate({ id: joinId, from }, { onSuccess: onClose })}
      >
        Join it
      </button>
      {join.isError ? (
        <p className="problem small" role="alert">
          {sentenceOf(join.error)}{' '}
          {from && codeOf(join.error) === 'beyond-scope' ? (
            <button
              type="button"
              className="link"
              onClick={() => join.mutate({ id: joinId, from, happened: true }, { onSuccess: onClose })}
            >
              They are in one vessel already
            </button>
          ) : null}
        </p>
      ) : null}
    </>
  );
}
