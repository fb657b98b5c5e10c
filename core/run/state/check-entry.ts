import { fail, ok, type Result } from '#base/problem';
import { contentOf } from '#matter/stock';
import { liveOf, type RunEvent } from '#run/log';
import { MOST_G, type Plan } from '#run/plan';
import { capsOf, entriesOf, goThrough } from '#run/sheet';

/** What an entry can be wrong in that only its run can tell: a bottle that cannot be, a batch grown beyond hobby scale. */
export function checkEntry(plan: Plan, events: readonly RunEvent[], entry: RunEvent): Result<true> {
  const { body } = entry;
  if (body.kind === 'added' && !hasStep(plan, events, body.step))
    return fail('not-found', `This run has no step “${body.step}”; an entry is made at one of its own.`, {
      field: 'body.step',
    });
  if (body.kind === 'added' && body.stock && body.bottleId !== null) {
    const { card, usedG } = body.stock;
    const content = contentOf({ id: body.bottleId, card, usedG }, plan.bench.tempC, plan.day);
    if (!content.ok) return { ok: false, problem: { ...content.problem, field: 'body.stock' } };
  }
  if (body.kind === 'enlarged') {
    const factor = (entriesOf(liveOf(events)).enlarged ?? 1) * body.factor;
    if (plan.target.amount.value * factor > MOST_G)
      return fail(
        'out-of-range',
        'That makes more than 20 kg or litres: beyond hobby scale heat and gas behave otherwise.',
        { field: 'body.factor' },
      );
    const gone = goThrough(plan, liveOf([...events, entry]));
    const over = gone.ok ? capsOf(gone.value.facts, gone.value.planned, factor) : null;
    if (over) return { ok: false, problem: { ...over, field: 'body.factor' } };
  }
  return ok(true);
}

function hasStep(plan: Plan, events: readonly RunEvent[], key: string): boolean {
  return (
    plan.route.steps.some(({ id }) => id === key) ||
    events.some(({ body }) => body.kind === 'step-inserted' && body.step === key)
  );
}
