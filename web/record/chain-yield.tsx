import { useQueries } from '@tanstack/react-query';
import { Select } from 'antd';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import type { BatchAnswer } from '#contract/api';
import { request } from '../api/client.ts';
import { Field } from '../kit/field.tsx';
import { Num } from '../parts/num.tsx';
import type { Run } from '../run/use-run.ts';
import { useCompute } from '../worker/compute.ts';

/** Batches behind one another at most. */
const DEEPEST = 6;

/** What a chain of batches came to that ends in this one: each step's yield, and the overall one on any basis. */
export function ChainYield({ run }: { run: Run }) {
  const before = useBefore(run.batch);
  const runs = useMemo(
    () =>
      [...before, { ...run.batch, events: run.events }].map(({ id, number, plan, events }) => ({
        id,
        number,
        plan,
        events,
      })),
    [before, run.batch, run.events],
  );
  const [basis, setBasis] = useState<string | null>(null);
  const { value, problem } = useCompute(
    'chainYield',
    useMemo(() => (runs.length > 1 ? { runs, basis } : undefined), [runs, basis]),
  );
  const [first] = runs;
  if (runs.length < 2 || !first) return null;
  const bases = first.plan.route.roles.filter(({ dose }) => dose.by === 'extent');
  return (
    <section aria-labelledby="chain-yield">
      <h2 id="chain-yield">The chain it ends</h2>
      {problem ? <p className="problem">{problem.message}</p> : null}
      {value ? (
        <>
          <ol>
            {value.steps.map(({ number, title, of, yieldPct, used }, i) => (
              <li key={number}>
                <Link to={`/record/${runs[i]?.id}`}>
                  Batch {number}, {title}
                </Link>
                : {yieldPct ? <Num figure={yieldPct} /> : 'yield not known yet'} on the {of}
                {used && used.value < 0.995 ? (
                  <>
                    ; <Num bare figure={used} /> of it was used further
                  </>
                ) : null}
              </li>
            ))}
          </ol>
          <p>
            {value.overall ? (
              <>
                Overall <Num big figure={value.overall} />
              </>
            ) : (
              'The overall yield is known when every step has one.'
            )}
          </p>
          {bases.length > 1 ? (
            <Field label="Counted on">
              {(bound) => (
                <Select
                  {...bound}
                  value={basis ?? ''}
                  popupMatchSelectWidth={false}
                  options={[
                    { value: '', label: 'what limited the first' },
                    ...bases.map(({ id, name }) => ({ value: id, label: name })),
                  ]}
                  onChange={(next: string) => setBasis(next === '' ? null : next)}
                />
              )}
            </Field>
          ) : null}
        </>
      ) : null}
    </section>
  );
}

/** The batches before this one, first to last: each whose bottle the next one took. */
function useBefore(batch: BatchAnswer): readonly BatchAnswer[] {
  const [ids, setIds] = useState<readonly string[]>(() => fromOf(batch));
  const queries = useQueries({
    queries: ids.map((id) => ({
      queryKey: ['batch', id],
      queryFn: () => request<BatchAnswer>('GET', `/batches/${id}`),
    })),
  });
  const found = queries.flatMap(({ data }) => data ?? []);
  const last = found.at(-1);
  const next =
    last && found.length === ids.length && ids.length < DEEPEST ? fromOf(last).filter((id) => !ids.includes(id)) : [];
  if (next.length > 0) setIds([...ids, ...next.slice(0, 1)]);
  const key = found.map(({ id, version, events }) => `${id} ${version} ${events.length}`).join();
  // biome-ignore lint/correctness/useExhaustiveDependencies: the key says what they hold
  return useMemo(() => (found.length === ids.length ? [...found].reverse() : []), [key, ids.length]);
}

/** The batch that a bottle of a plan came from: of one that is counted on. */
function fromOf({ plan }: BatchAnswer): readonly string[] {
  const counted = plan.route.roles
    .filter(({ dose }) => dose.by === 'extent')
    .flatMap(({ id }) => plan.bottles[id] ?? []);
  return counted.flatMap((id) => plan.stock[id]?.card.fromBatch ?? []).slice(0, 1);
}
