import { useMemo } from 'react';
import { Link } from 'react-router';
import { formatNumber } from '#base/units';
import type { AssayPlan, AssayResult } from '#model/assay';
import { useBatches } from '../api/queries.ts';

/** Kept plans and open runs that take from this bottle, and by how much what they take will change. */
export function WhatItChanges({ plan, result }: { plan: AssayPlan; result: AssayResult }) {
  const batches = useBatches();
  const touched = useMemo(
    () =>
      (batches.data ?? []).filter(
        ({ bottles, status }) => bottles.includes(plan.bottle.id) && (status === 'planned' || status === 'running'),
      ),
    [batches.data, plan.bottle.id],
  );
  const before = plan.bottle.card.strength;
  if (touched.length === 0 || before?.unit !== 'w/w' || !(result.w.value > 0)) return null;
  const times = before.value / result.w.value;
  return (
    <>
      <h2>What it changes</h2>
      <ul className="plain-list">
        {touched.map(({ id, number, title, status }) => (
          <li key={id} className="small">
            <Link to={status === 'planned' ? `/plan/${id}` : `/bench/${id}`}>
              {number}. {title}
            </Link>{' '}
            {status === 'planned'
              ? `takes ${formatNumber(times, 3)} times as much of it, once it is written`
              : 'is running: what was taken stays as it was; enter the strength there if it is to count'}
          </li>
        ))}
      </ul>
    </>
  );
}
