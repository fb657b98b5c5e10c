import type { Quantity } from '#base/reading';
import type { Live } from '#run/log';
import type { Plan, RunStep } from '#run/plan';
import { AS_IT_REALLY_IS } from '#run/technique';

const TELLS: readonly Quantity[] = ['mass', 'volume', 'strength', 'density'];

/** Whether what was made was measured: a solid by its weighings; what is liquid by anything that was read of it in the end. */
export function isMeasured(
  plan: Plan,
  {
    live,
    steps,
    weighing,
  }: {
    readonly live: Live;
    readonly steps: readonly RunStep[];
    readonly weighing: { readonly grams: number | null; readonly wetG: number | null };
  },
): boolean {
  if (plan.route.makes.kind === 'solid') return weighing.grams !== null || weighing.wetG !== null;
  // A run that was planned before shows what it showed.
  if (plan.tables < AS_IT_REALLY_IS) return true;
  const last = steps.findLastIndex(({ template }) => template !== null && template.op.do !== 'plain');
  const after = new Set(steps.slice(Math.max(0, last)).map(({ key }) => key));
  return live.some(({ body }) => body.kind === 'read' && after.has(body.step) && TELLS.includes(body.quantity));
}
