import { sdOf } from '#base/figure';
import { parseLabel } from '#matter/label';
import type { BottleCard } from '#matter/stock';
import { type Plan, productTitle } from '#run/plan';
import type { RunState } from '#run/state';
import type { DemoBottle } from './scenario.ts';

function groupOf({ waste, made }: DemoBottle): BottleCard['group'] | undefined {
  if (waste) return 'waste';
  return made ? 'made' : undefined;
}

/** The card of a bottle as it is bought, from what its label says. */
export function shopCard(each: DemoBottle, day: string): BottleCard {
  const { card, problems } = parseLabel(each.label, day, 16);
  if (!card || problems.length > 0) throw new Error(`${each.label}: ${problems.map((p) => p.message).join(' ')}`);
  const strength = each.assayed && card.strength ? { ...card.strength, value: each.assayed.value } : card.strength;
  return {
    ...card,
    name: each.name,
    strength,
    strengthBand: each.assayed?.band ?? card.strengthBand,
    assayed: each.assayed !== undefined,
    container: each.container ?? card.container,
    group: groupOf(each) ?? card.group,
    ...(each.place && { place: each.place }),
    note: each.note ?? '',
  };
}

interface Made {
  readonly batchId: string;
  readonly plan: Plan;
  readonly state: RunState;
  /** ISO day. */
  readonly since: string;
}

/** The card of what a batch came to; undefined where it came to nothing that is bottled. */
export function madeCard({ batchId, plan, state, since }: Made): BottleCard | undefined {
  const common = {
    others: [],
    assayed: false,
    price: null,
    group: 'made',
    since,
    labelText: '',
    fromBatch: batchId,
    note: '',
  } as const;
  const { made } = state.sheet;
  const title = productTitle(plan);
  if (made) {
    return {
      ...common,
      name: title.charAt(0).toUpperCase() + title.slice(1),
      substanceId: plan.target.substanceId,
      strength: { value: Number(made.strength.value.toPrecision(4)), unit: 'mol/L' },
      strengthBand: Number((2 * sdOf(made.strength)).toPrecision(2)),
      size: { value: Number(made.volume.value.toPrecision(4)), unit: 'mL' },
      container: 'bottle',
    };
  }
  if (!state.yield) return undefined;
  return {
    ...common,
    name: `${title.charAt(0).toUpperCase()}${title.slice(1)} crystals`,
    substanceId: state.productId,
    strength: { value: 100, unit: 'w/w' },
    strengthBand: 2,
    size: { value: Number(state.yield.mass.value.toFixed(2)), unit: 'g' },
    container: 'jar',
  };
}
