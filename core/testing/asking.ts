import { molarMass, type SubstanceId, substanceOf } from '#matter/substance';
import { amountsOf, type Contents } from '#matter/vessel';
import type { Advice } from '#run/state';
import type { AdviceOf, TechniqueName } from '#run/technique';

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
