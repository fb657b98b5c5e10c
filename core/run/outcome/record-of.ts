import type { Result } from '#base/problem';
import { literatureYield } from '#matter/account';
import type { BottleCard } from '#matter/stock';
import { type Fraction, fractionsOf, type StillBalance, stillBalance, stillsOf } from '#run/state';
import { basesOf } from './chain-yield.ts';
import { productCard, type Recorded } from './product-card.ts';
import { type ScaleUp, type ScalingBy, scaleUp } from './scale-up.ts';
import { type WhereItWent, whereItWent } from './where-it-went.ts';

/** What is asked of a record: on which reagent its yield is counted, and how many times as much it would be. */
export interface RecordAsked {
  readonly basis: string | null;
  readonly by: ScalingBy;
}

/** All that a record shows beside the run's own state. */
export interface RecordAnswer {
  readonly went: WhereItWent | null;
  readonly bases: ReturnType<typeof basesOf>;
  readonly literature: ReturnType<typeof literatureYield>;
  /** One for each distillation. */
  readonly stills: readonly { readonly fractions: readonly Fraction[]; readonly balance: StillBalance | null }[];
  readonly scaled: Result<ScaleUp>;
  /** The product as a bottle, with the strength and size it has by this record; null where there is none yet. */
  readonly product: BottleCard | null;
}

export function recordOf(run: Recorded, { basis, by }: RecordAsked): RecordAnswer {
  const { plan, state } = run;
  const stills = stillsOf(plan, run.events);
  return {
    went: whereItWent(plan, state, basis),
    bases: basesOf(plan, state),
    literature: literatureYield(plan.route.id),
    stills: stills.ok
      ? stills.value.map((still) => ({ fractions: fractionsOf(state, still), balance: stillBalance(state, still) }))
      : [],
    scaled: scaleUp(plan, state, by),
    product: productCard(run),
  };
}
