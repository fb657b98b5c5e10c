import type { FieldsOf } from '#base/shape';
import { molarMass, type SubstanceId, substanceOf } from '#matter/substance';
import { amountsOf } from '#matter/vessel';
import { esterById, halfInWashH } from '#model/ester';
import { type Layer, type OnTop, onTop } from '#model/layers';
import type { StepView } from '../view.ts';
import { funnelOf } from './funnel.ts';
import type { fields } from './op.ts';

/** One thing in a layer, g. */
export interface InLayer {
  readonly id: SubstanceId;
  readonly grams: number;
}

/** What stands in the funnel before it is parted. */
export interface SeparateAdvice {
  readonly liquid: SubstanceId;
  readonly organic: Layer | null;
  readonly aqueous: Layer | null;
  readonly top: OnTop;
  readonly inOrganic: readonly InLayer[];
  readonly inAqueous: readonly InLayer[];
  /** True where salt’s part in it is an estimate. */
  readonly about: boolean;
  readonly notHeld: readonly SubstanceId[];
  /** Hours until half of what is dissolved in a wash of pH 9 is split; null where that is not held, or it is no ester. */
  readonly halfInWashH: number | null;
}

/** Less than this is not named. */
const NAMED_G = 0.01;

export function advice(view: StepView, op: FieldsOf<typeof fields>): SeparateAdvice | null {
  const funnel = funnelOf(view.before, op.liquid);
  if (!funnel) return null;
  const { organic, aqueous, about } = funnel.parted;
  const grams = amountsOf(view.before).map(([id, mol]) => [id, mol * molarMass(substanceOf(id).formula)] as const);
  const named = (share: (id: SubstanceId) => number) =>
    grams
      .map(([id, g]): InLayer => ({ id, grams: g * share(id) }))
      .filter((each) => each.grams >= NAMED_G)
      .toSorted((a, b) => b.grams - a.grams);
  const ester = esterById(op.liquid);
  return {
    liquid: op.liquid,
    organic,
    aqueous,
    about,
    top: onTop(funnel.parted),
    inOrganic: named((id) => funnel.shares.get(id) ?? 0),
    inAqueous: named((id) => 1 - (funnel.shares.get(id) ?? 0)),
    notHeld: funnel.notHeld,
    halfInWashH: ester ? halfInWashH(ester) : null,
  };
}
