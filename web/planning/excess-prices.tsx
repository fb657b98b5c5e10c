import { useMemo } from 'react';
import type { Plan } from '#run/plan';
import { useCompute } from '../worker/compute.ts';

/** What an excess of one reagent costs of the others, at every step that adds by portions. */
export function ExcessPrices({ plan }: { plan: Plan }) {
  return (
    <>
      {plan.route.steps
        .filter(({ adding }) => adding !== null)
        .map(({ id }) => (
          <Price key={id} plan={plan} step={id} />
        ))}
    </>
  );
}

function Price({ plan, step }: { plan: Plan; step: string }) {
  const input = useMemo(() => ({ plan, events: [], step, now: `${plan.day}T12:00:00Z` }), [plan, step]);
  const own = useCompute('advise', input).value?.own;
  const price = own?.do === 'add' ? own.says?.add?.price : undefined;
  return price ? <p className="small quiet">{price}</p> : null;
}
