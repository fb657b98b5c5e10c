import type { BottleCard } from '#matter/stock';
import type { BodyOf, Live, LiveEvent } from '#run/log';
import type { Plan } from '#run/plan';

type Assay = BodyOf<'assayed'>;

/**
 * A run with its bottles as they were found to be: one bottle has one strength, from the first gram taken of it to the last.
 * The same plan and entries where nothing was assayed.
 */
export function asAssayed(plan: Plan, live: Live): { readonly plan: Plan; readonly live: Live } {
  const assays = new Map<string, Assay>();
  for (const { body } of live) if (body.kind === 'assayed') assays.set(body.bottleId, body);
  if (assays.size === 0) return { plan, live };
  const stock = Object.fromEntries(
    Object.entries(plan.stock).map(([id, each]) => [id, { ...each, card: found(each.card, assays.get(id)) }]),
  );
  const entries = live.map((each): LiveEvent => {
    const { body } = each;
    if (body.kind !== 'added' || !body.stock || body.bottleId === null) return each;
    const card = found(body.stock.card, assays.get(body.bottleId));
    return { ...each, body: { ...body, stock: { ...body.stock, card } } };
  });
  return { plan: { ...plan, stock }, live: entries as readonly LiveEvent[] as Live };
}

function found(card: BottleCard, assay: Assay | undefined): BottleCard {
  return assay === undefined
    ? card
    : { ...card, strength: { value: assay.pct, unit: 'w/w' }, strengthBand: assay.bandPct, assayed: true };
}
