import { derive, type Figure, given, sdOf } from '#core/figure';
import { hydrateWater, molarMass, type Substance } from '#core/substance';
import { formatNumber } from '#core/units';

export interface YieldAccount {
  readonly yieldPct: Figure;
  readonly mass: Figure;
  readonly theory: Figure;
  /** Over 100 % by more than its uncertainty, over but within it, or not over. */
  readonly over: 'clearly' | 'within-uncertainty' | 'no';
  readonly explanations: readonly string[];
}

const WATER = 18.015;

/**
 * Yield of `solid`, g weighed against g of theory from the limiting reagent. Where it is over 100 %, each cause that
 * could make it so is given with the number it would take: water still in, a higher hydrate, a stronger reagent.
 */
export function yieldOf(
  mass: Figure,
  theory: Figure,
  solid: Substance,
  limiting: { name: string; pct: number } | null,
  constant: boolean,
): YieldAccount {
  const yieldPct = yieldFigure(mass, theory);
  const beyond = yieldPct.value - 100;
  if (beyond <= 0) return { yieldPct, mass, theory, over: 'no', explanations: [] };
  const within = beyond <= 2 * sdOf(yieldPct);
  const extra = mass.value - theory.value;
  const moles = theory.value / molarMass(solid.formula);
  const water = hydrateWater(solid.formula);
  const explanations = [
    `${formatNumber(extra, 2)} g more than all the ${limiting?.name ?? 'limiting reagent'} could give. As water still in it, that is ${formatNumber((100 * extra) / mass.value, 2)} % of what was weighed${constant ? ', though two weighings agreed' : '; it was not weighed to constant mass: dry on'}.`,
    `Read as a hydrate it would hold ${formatNumber(water + extra / moles / WATER, 2)} H₂O for each formula unit, where the crystal has ${water}${constant ? ': mother liquor held in the crystals, or a cold, wet crop' : ''}.`,
  ];
  if (limiting) {
    const needed = (limiting.pct * mass.value) / theory.value;
    const possible = needed <= 100 ? '' : ', which cannot be: so not that alone';
    explanations.push(
      `If all of it is product, ${limiting.name} was ${formatNumber(needed, 3)} % and not ${formatNumber(limiting.pct, 3)} %${possible}.`,
    );
  }
  if (within)
    explanations.unshift(
      `Over 100 % by less than its uncertainty of ± ${formatNumber(2 * sdOf(yieldPct), 2)} %: it may be whole and dry.`,
    );
  return { yieldPct, mass, theory, over: within ? 'within-uncertainty' : 'clearly', explanations };
}

/** A weighed mass as a figure: balance uncertainty, and the spread of the last two weighings. */
export function productMass(grams: number, sdG: number, name: string): Figure {
  const uncertainty = { 'balance:product': { name: 'weighing the product', effect: sdG } };
  return given({ symbol: 'm', name, unit: 'g' }, { value: grams, uncertainty }, 'weighed at the bench');
}

/** Yield of a solution: g dissolved in it, found by its density, against g of theory. */
export function solutionYield(mass: Figure, theory: Figure): YieldAccount {
  const yieldPct = yieldFigure(mass, theory);
  const beyond = yieldPct.value - 100;
  if (beyond <= 0) return { yieldPct, mass, theory, over: 'no', explanations: [] };
  const within = beyond <= 2 * sdOf(yieldPct);
  return {
    yieldPct,
    mass,
    theory,
    over: within ? 'within-uncertainty' : 'clearly',
    explanations: [
      within
        ? `Over 100 % by less than its uncertainty of ± ${formatNumber(2 * sdOf(yieldPct), 2)} %: it may be whole.`
        : 'More is in it than the limiting reagent could give: other salts or acid raise the density, it was read cold, or the volume was less than entered.',
    ],
  };
}

function yieldFigure(mass: Figure, theory: Figure): Figure {
  return derive(
    { symbol: 'Y', name: 'yield', unit: '%' },
    '100 × m ÷ theory',
    { m: mass, theory },
    (x) => (100 * x.m) / x.theory,
  );
}
