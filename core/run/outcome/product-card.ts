import { sdOf } from '#base/figure';
import type { BottleCard } from '#matter/stock';
import { speciesOf, substanceOf } from '#matter/substance';
import type { RunEvent } from '#run/log';
import { type Plan, planTitle, productTitle } from '#run/plan';
import { leftOverIn, type RunState } from '#run/state';

/** A run as its record knows it. */
export interface Recorded {
  readonly plan: Plan;
  readonly state: RunState;
  readonly events: readonly RunEvent[];
  readonly batch: { readonly id: string; readonly number: number };
  /** The day on which the product would be put on the shelf. */
  readonly today: string;
}

/** The label that the record can stand for: a strength with its band, a mass, the batch. */
export function productCard({ plan, state, events, batch, today }: Recorded): BottleCard | null {
  const common = {
    others: [],
    assayed: false,
    price: null,
    group: 'made',
    since: today,
    labelText: '',
    fromBatch: batch.id,
    note: `Made here: ${planTitle(plan)}, batch ${batch.number}.`,
  } as const;
  const { made, now } = state.sheet;
  if (made && state.status === 'done') {
    const name = productTitle(plan);
    return {
      ...common,
      name: `${capital(name)}, batch ${batch.number}`,
      substanceId: plan.target.substanceId,
      strength: { value: round(made.strength.value, 4), unit: 'mol/L' },
      strengthBand: round(2 * sdOf(made.strength), 2),
      assayed: events.some(({ body }) => body.kind === 'read' && body.quantity === 'strength'),
      others: now ? leftOverIn(now.contents, speciesOf(substanceOf(plan.target.substanceId)).id) : [],
      size: { value: round(made.volume.value, 4), unit: 'mL' },
      container: made.volume.value >= 2000 ? 'jug' : 'bottle',
    };
  }
  const { 'product.pct': pct, 'product.all': all } = state.sheet.figures;
  if (plan.route.makes.kind === 'liquid') {
    if (state.status !== 'done' || !pct || !all) return null;
    const contents = now?.vessels[plan.route.makes.vessel];
    return {
      ...common,
      name: `${capital(substanceOf(state.productId).name)}, batch ${batch.number}`,
      substanceId: state.productId,
      strength: { value: round(pct.value, 4), unit: 'w/w' },
      strengthBand: round(Math.max(0.1, 2 * sdOf(pct)), 2),
      assayed: events.some(({ body }) => body.kind === 'read' && body.quantity === 'strength'),
      others: contents ? leftOverIn(contents, state.productId) : [],
      size: { value: round(all.value, 5), unit: 'g' },
      container: 'bottle',
    };
  }
  const account = state.yield;
  const solidId = state.productId;
  if (!account || !solidId) return null;
  // More than theory cannot all be product: what is over is counted as water.
  const purity = account.over === 'clearly' ? (100 * account.theory.value) / account.mass.value : 100;
  return {
    ...common,
    name: `${capital(state.sheet.product?.name.replace(', dry', '') ?? 'crystals')}, batch ${batch.number}`,
    substanceId: solidId,
    strength: { value: round(purity, 4), unit: 'w/w' },
    strengthBand: 2,
    size: { value: round(account.mass.value, 5), unit: 'g' },
    container: 'jar',
  };
}

function round(value: number, figures: number): number {
  return Number(value.toPrecision(figures));
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
