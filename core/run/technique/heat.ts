import { datum, derive, type Figure } from '#base/figure';
import { solutionHeat } from '#matter/reaction';
import { heatAtInfiniteDilution, heatCapacity, heatOfDilution, integralHeat } from '#matter/solution';
import { molarMass, type Substance, substanceOf } from '#matter/substance';
import { type Contents, type Dissolved, solutesG } from '#matter/vessel';
import type { Doing } from './outcome.ts';

/** A solution weaker than this gives next to no heat when it is thinned, mass %. */
const THIN_PCT = 20;

/** Books the heat of thinning a solution: a role poured into what is there already, or water poured onto it. */
export function bookDilution(
  doing: Doing,
  { substance, fromPct, amount }: { substance: Substance; fromPct: number; amount: Figure },
  after: Contents,
): void {
  const soluteG = amount.value * molarMass(substance.formula);
  if (soluteG <= 0) return;
  const pct = (100 * soluteG) / (soluteG + after.waterG.value);
  const heat = heatOfDilution(substance, fromPct, pct);
  if (!heat) {
    if (fromPct > THIN_PCT)
      doing.notKnown.push({ what: 'heat', says: `No heat of diluting ${substance.name} is held.` });
    return;
  }
  const q = datum({ symbol: 'q', name: `heat of diluting to ${pct.toFixed(1)} %`, unit: 'kJ/mol' }, heat.kJPerMol, {
    source: heat.source,
    grade: 'A',
  });
  doing.heats.push({
    of: `diluting ${substance.name}`,
    heat: derive({ symbol: 'Q', name: 'heat of dilution', unit: 'kJ' }, 'n × q', { n: amount, q }, (x) => x.n * x.q),
  });
}

/** Books the heat of solids that went into solution; not known where none is held. */
export function bookDissolving(doing: Doing, dissolved: readonly Dissolved[], after: Contents): void {
  for (const { id, amount } of dissolved) {
    const solid = substanceOf(id);
    const heat = dissolvingHeat(solid, amount.value, after);
    if (!heat) {
      doing.notKnown.push({ what: 'heat', says: `No heat of dissolving ${solid.name} is held.` });
      continue;
    }
    const q = datum({ symbol: 'q', name: `heat of dissolving ${solid.name}`, unit: 'kJ/mol' }, heat.kJPerMol, heat);
    doing.heats.push({
      of: `dissolving ${solid.name}`,
      heat: derive(
        { symbol: 'Q', name: 'heat of dissolving', unit: 'kJ' },
        'n × q',
        { n: amount, q },
        (x) => x.n * x.q,
      ),
    });
  }
}

/** kJ set free by a mol that dissolves: in this much water where that is tabulated, else at infinite dilution. */
function dissolvingHeat(solid: Substance, mol: number, { waterG }: Contents) {
  const integral =
    integralHeat(solid, waterG.value / molarMass('H2O') / Math.max(1e-12, mol)) ?? heatAtInfiniteDilution(solid);
  if (integral) return { kJPerMol: -integral.kJPerMol, source: integral.source, grade: integral.grade };
  const dH = solutionHeat(solid.id);
  return dH === undefined
    ? undefined
    : { kJPerMol: -dH, source: 'NBS 1982 formation enthalpies, at infinite dilution', grade: 'B' as const };
}

/** K by which a heat would warm what is in a vessel, if it all came at once and none were lost. */
export function riseOf(Q: Figure, contents: Contents): Figure {
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
