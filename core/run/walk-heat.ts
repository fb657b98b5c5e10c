import { datum, derive, type Figure } from '#core/figure';
import { type Reaction, reactionHeat } from '#core/reaction';
import { heatCapacity, heatOfDilution } from '#core/solution';
import { molarMass } from '#core/substance';
import { type Contents, solutesG } from '#core/vessel';
import type { Context } from './context.ts';

export interface StepHeat {
  readonly step: string;
  /** kJ set free; negative cools. */
  readonly heat: Figure;
  /** K, if all came at once and none were lost. */
  readonly rise: Figure;
}

/** Heat of pouring a role into what is there already, or of pouring water onto it; undefined where no data are held. */
export function dilutionHeat(
  context: Context,
  step: string,
  roleId: string,
  amount: Figure,
  waterBeforeG: number,
  after: Contents,
): StepHeat | undefined {
  const content = context.contents[roleId]!;
  const { substance } = content;
  const soluteG = amount.value * molarMass(substance.formula);
  if (!content.dissolved || waterBeforeG <= 0 || soluteG <= 0) return undefined;
  const pct = (100 * soluteG) / (soluteG + after.waterG.value);
  const heat = heatOfDilution(substance, content.w.value, pct);
  if (!heat) return undefined;
  const q = datum({ symbol: 'q', name: `heat of diluting to ${pct.toFixed(1)} %`, unit: 'kJ/mol' }, heat.kJPerMol, {
    source: heat.source,
    grade: 'A',
  });
  const Q = derive({ symbol: 'Q', name: 'heat of dilution', unit: 'kJ' }, 'n × q', { n: amount, q }, (x) => x.n * x.q);
  return { step, heat: Q, rise: riseOf(Q, after) };
}

/** Heat of a reaction, with what its acid still had to give on dilution; undefined where a formation enthalpy lacks. */
export function heatOfReaction(
  context: Context,
  step: string,
  reaction: Reaction,
  extent: Figure,
  before: Contents,
  after: Contents,
): StepHeat | undefined {
  const forms: Record<string, string> = {};
  for (const { substance } of Object.values(context.contents))
    forms[substance.species] = substance.id;
  const dH = reactionHeat(reaction, forms);
  if (dH === undefined) return undefined;
  const q = datum(
    { symbol: 'q', name: 'heat of reaction, what is dissolved at infinite dilution', unit: 'kJ/mol' },
    -dH - acidShortfall(context, before),
    {
      source: 'NBS 1982 formation enthalpies and Circular 500 heats of solution, Hess',
      grade: 'B',
    },
  );
  const Q = derive({ symbol: 'Q', name: 'heat of reaction', unit: 'kJ' }, 'ξ × q', { ξ: extent, q }, (x) => x.ξ * x.q);
  return { step, heat: Q, rise: riseOf(Q, after) };
}

function riseOf(Q: Figure, contents: Contents): Figure {
  // Next to nothing in the vessel: a rise of it means nothing, and must stay a number.
  const capacity = Math.max(0.1, heatCapacity(contents.waterG.value, solutesG(contents)));
  const C = datum({ symbol: 'C', name: 'heat capacity of what is in the vessel', unit: 'J/K' }, capacity, {
    source: 'water 4.18, solutes 1.2 J/(g K), good to 10 %',
    grade: 'C',
  });
  return derive(
    { symbol: 'ΔT', name: 'rise if all at once', unit: 'K' },
    '1000 × Q ÷ C',
    { Q, C },
    (x) => (1000 * x.Q) / x.C,
  );
}

/**
 * kJ per mol that the acid at its strength in the vessel lies below infinite dilution (sulfuric and hydrochloric); it is
 * set free too as the reaction uses the acid up. Negative of the remaining heat of dilution.
 */
function acidShortfall(context: Context, contents: Contents): number {
  for (const { substance } of Object.values(context.contents)) {
    const n = contents.amounts[substance.id]?.value;
    if (!n) continue;
    const soluteG = n * molarMass(substance.formula);
    const heat = heatOfDilution(substance, (100 * soluteG) / (soluteG + contents.waterG.value), 0);
    if (heat) return -heat.kJPerMol;
  }
  return 0;
}
