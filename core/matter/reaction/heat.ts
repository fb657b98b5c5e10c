import { thermochem } from '#matter/data';
import { hydrateWater, type Substance, type SubstanceId, speciesOf, substanceOf } from '#matter/substance';
import type { Reaction } from './reaction.ts';

const HF = new Map(thermochem.map(({ id, dHf }) => [id, dHf]));

/**
 * Enthalpy of one extent of reaction, kJ (negative is warm): what dissolves is dissolved at infinite dilution, what does not
 * is the pure solid, metal or gas. Real solutions of 1 to 3 mol/L differ by up to 5 %. Undefined when a value lacks.
 */
export function reactionHeat(reaction: Reaction): number | undefined {
  let sum = 0;
  for (const [terms, sign] of [
    [reaction.products, 1],
    [reaction.reactants, -1],
  ] as const) {
    for (const { substanceId, n } of terms) {
      const value = inWater(substanceOf(substanceId));
      if (value === undefined) return undefined;
      sum += sign * n * value;
    }
  }
  return sum;
}

/**
 * Enthalpy of dissolving one mol of a solid as it comes, kJ (negative is warm), to infinite dilution; the crystal water of a
 * hydrate joins the solution. Undefined when a value lacks, and for what does not dissolve.
 */
export function solutionHeat(id: SubstanceId): number | undefined {
  const substance = substanceOf(id);
  const pure = formation(substance.formationPure);
  const dissolved = dissolvedFormation(speciesOf(substance));
  const water = formation('H2O_l');
  if (pure === undefined || dissolved === undefined || water === undefined) return undefined;
  return dissolved + hydrateWater(substance.formula) * water - pure;
}

const OWN: ReadonlySet<Substance['water']> = new Set(['insoluble', 'gas', 'immiscible']);

/** Formation enthalpy of a substance as it is in water, kJ/mol. */
function inWater(substance: Substance): number | undefined {
  // What makes a layer of its own is as it is pure.
  if (OWN.has(substance.water)) return formation(substance.formationPure);
  return dissolvedFormation(substance);
}

function dissolvedFormation({ formationDissolved }: Substance): number | undefined {
  if (formationDissolved === null) return undefined;
  let sum = 0;
  for (const [id, n] of formationDissolved) {
    const value = formation(id);
    if (value === undefined) return undefined;
    sum += n * value;
  }
  return sum;
}

function formation(id: string | null): number | undefined {
  return id === null ? undefined : HF.get(id);
}
