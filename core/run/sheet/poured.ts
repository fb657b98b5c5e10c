import type { Live } from '#run/log';
import type { PlanFacts } from '#run/plan';

/** Mass % at which each substance went in, the strongest of it, by what was entered; the rest of a product counts by its share. */
export function pouredStrengths(facts: PlanFacts, live: Live): ReadonlyMap<string, number> {
  const strongest = new Map<string, number>();
  for (const { body } of live) {
    if (body.kind !== 'added' || body.bottleId === null) continue;
    const stock = body.stock ?? facts.plan.stock[body.bottleId];
    const content = stock && facts.contentThen(body.bottleId, stock);
    if (!content) continue;
    const parts = [{ id: content.substance.id, pct: content.w.value }, ...content.others.map(asPart)];
    for (const { id, pct } of parts) strongest.set(id, Math.max(strongest.get(id) ?? 0, Math.min(100, pct)));
  }
  return strongest;
}

const asPart = ({ substance, w }: { substance: { id: string }; w: { value: number } }) => ({
  id: substance.id,
  pct: w.value,
});
