import { liveOf, type RunEvent } from '#core/log';
import { MOST_G, type Plan } from '#core/plan';
import { fail, ok, type Result } from '#core/problem';
import { entriesOf } from '#core/sheet';
import { contentOf } from '#core/stock';

/** What an entry can be wrong in that only its run can tell: a bottle that cannot be, a batch grown beyond hobby scale. */
export function checkEntry(plan: Plan, events: readonly RunEvent[], { body }: RunEvent): Result<true> {
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
  }
  return ok(true);
}
