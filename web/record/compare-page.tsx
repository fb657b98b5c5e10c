import { useQueries } from '@tanstack/react-query';
import { useMemo } from 'react';
import { Link, useSearchParams } from 'react-router';
import type { BatchAnswer } from '#contract/api';
import type { CompareRow } from '#run/state';
import { request, sentenceOf } from '../api/client.ts';
import { useBatches } from '../api/queries.ts';
import { dayText } from '../parts/day.ts';
import './record.css';
import { useCompute } from '../worker/compute.ts';

/** Attempts side by side: what was done otherwise, what came of it, what was noted. The batches stand in the address. */
export function ComparePage() {
  const [search] = useSearchParams();
  const ids = useMemo(() => [...new Set((search.get('batches') ?? '').split(',').filter((id) => id !== ''))], [search]);
  const answers = useQueries({
    queries: ids.map((id) => ({
      queryKey: ['batch', id],
      queryFn: () => request<BatchAnswer>('GET', `/batches/${encodeURIComponent(id)}`),
    })),
  });
  const failed = answers.find(({ isLoadingError }) => isLoadingError);
  const batches = answers.flatMap(({ data }) => data ?? []);
  const all = batches.length === ids.length;
  const { value, problem } = useCompute(
    'compare',
    all && ids.length > 0
      ? { attempts: batches.map(({ number, plan, events }) => ({ number, plan, events: [...events] })) }
      : undefined,
  );
  const known = useBatches();
  const name = known.data?.find(({ id }) => id === ids[0])?.title ?? 'Attempts';
  return (
    <article className="record">
      <h1>Side by side</h1>
      <p className="quiet">
        {ids.length === 0 ? (
          <>
            Choose two or more batches in the <Link to="/record">Record</Link> first.
          </>
        ) : (
          `${name} and ${ids.length - 1} more. What differs is marked.`
        )}
      </p>
      {failed ? <p className="problem">{sentenceOf(failed.error)}</p> : null}
      {problem ? <p className="problem">{problem.message}</p> : null}
      {value ? <CompareTable rows={value} batches={batches} /> : null}
      {!value && !failed && !problem && ids.length > 0 ? <p className="waiting-block">Computing …</p> : null}
    </article>
  );
}

const PARTS: readonly { readonly kind: CompareRow['kind']; readonly title: string }[] = [
  { kind: 'method', title: 'How it was done' },
  { kind: 'outcome', title: 'What came of it' },
  { kind: 'words', title: 'What was noted' },
];

function CompareTable({ rows, batches }: { rows: readonly CompareRow[]; batches: readonly BatchAnswer[] }) {
  return (
    <div className="side-by-side">
      <table className="plain-table">
        <thead>
          <tr>
            <th scope="col">batch</th>
            {batches.map(({ id, number, createdAt }) => (
              <th scope="col" key={id}>
                <Link to={`/record/${id}`}>
                  {number}, {dayText(createdAt)}
                </Link>
              </th>
            ))}
          </tr>
        </thead>
        {PARTS.map(({ kind, title }) => {
          const mine = rows.filter((row) => row.kind === kind);
          return mine.length === 0 ? null : (
            <tbody key={kind}>
              <tr>
                <th scope="rowgroup" colSpan={batches.length + 1}>
                  <h2>{title}</h2>
                </th>
              </tr>
              {mine.map((row) => (
                <tr key={row.name} data-differs={row.differs}>
                  <th scope="row">
                    {row.name}
                    {row.differs ? <span className="mark"> ≠</span> : null}
                    {row.differs ? <span className="sr">, differs</span> : null}
                  </th>
                  {row.cells.map((cell, i) => (
                    <td key={batches[i]?.id ?? i}>{cell || '–'}</td>
                  ))}
                </tr>
              ))}
            </tbody>
          );
        })}
      </table>
    </div>
  );
}
