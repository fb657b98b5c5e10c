import { exactReading } from '#base/reading';
import { formatNumber } from '#base/units';
import { substanceOf } from '#matter/substance';
import type { EventBody } from '#run/log';
import type { RunState } from './state.ts';
import type { StepState } from './step-state.ts';
import { titleText } from './title.ts';

/** Why what was caught cannot be redissolved in this run; empty when it can. */
export function redissolveProblem(state: RunState): string {
  if (!state.steps.some(({ technique }) => technique === 'crystallise' || technique === 'salt-pair'))
    return 'It does not dissolve in water: wash it, or dry it again.';
  const caught = state.steps.some(
    ({ template, status }) => template?.op.do === 'filter' && template.op.keep === 'solid' && status === 'done',
  );
  return caught && (state.sheet.product?.value ?? 0) > 0 ? '' : 'Filter it off first: then it can be redissolved.';
}

/** What was caught goes back into so much hot water, and the steps from crystallising up to here are to be done again. */
export function redissolveEntries(
  state: RunState,
  step: StepState,
  how: { readonly waterG: number; readonly hotC: number; readonly why: string },
  newStepId: () => string,
): readonly EventBody[] {
  const name = substanceOf(state.productId).name;
  const first = newStepId();
  const bodies: EventBody[] = [];
  // What it was drying to is not weighed any more.
  if (step.technique === 'dry' && step.status !== 'done')
    bodies.push({ kind: 'step-skipped', step: step.key, reason: how.why || 'redissolved' });
  bodies.push({
    kind: 'step-inserted',
    step: first,
    after: step.key,
    beside: false,
    repeats: null,
    does: 'redissolve',
    title: `Redissolve it in ${formatNumber(how.waterG, 3)} g of water at ${formatNumber(how.hotC, 3)} °C`,
    why: how.why || `${name} goes back into solution`,
    leave: { alone: false, lookEveryMin: 5 },
  });
  bodies.push({
    kind: 'added',
    step: first,
    role: null,
    bottleId: null,
    reading: exactReading(how.waterG, 'g'),
    reason: '',
  });
  let after = first;
  for (const again of stepsAgain(state, step.key)) {
    const key = newStepId();
    bodies.push({
      kind: 'step-inserted',
      step: key,
      after,
      beside: false,
      repeats: again.key,
      does: 'as-before',
      title: `Again: ${titleText(again)}`.slice(0, 120),
      why: 'after redissolving',
      leave: { alone: again.leave.alone, lookEveryMin: again.leave.lookEveryMin },
    });
    after = key;
  }
  return bodies;
}

/** The steps from crystallising up to this one, to be done again. */
function stepsAgain({ steps }: RunState, here: string): readonly StepState[] {
  const at = steps.findIndex(({ key }) => key === here);
  const from = steps.findIndex(({ technique }) => technique === 'crystallise' || technique === 'salt-pair');
  return steps
    .slice(Math.max(0, from), at + 1)
    .filter(({ template, inserted }) => template && !inserted && template.op.do !== 'add');
}
