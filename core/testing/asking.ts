import type { Advice } from '#core/state';
import { molarMass, type SubstanceId, substanceOf } from '#core/substance';
import type { AdviceOf, TechniqueName } from '#core/technique';
import { amountsOf, type Contents } from '#core/vessel';

/** What a kind of step advises of its own; null where the step is of another kind or says nothing. */
export function own<N extends TechniqueName>(advice: Advice, technique: N): AdviceOf<N> | null {
  return advice.own?.do === technique ? (advice.own.says as AdviceOf<N> | null) : null;
}

/** mol of everything in a vessel, phases together. */
export function molIn(contents: Contents): Readonly<Partial<Record<SubstanceId, number>>> {
  return Object.fromEntries(amountsOf(contents));
}

/** g of everything in a vessel. */
export function gramsIn(contents: Contents): number {
  return amountsOf(contents).reduce(
    (sum, [id, n]) => sum + n * molarMass(substanceOf(id).formula),
    contents.waterG.value + contents.inertG.value,
  );
}
