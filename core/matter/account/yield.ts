import { derive, type Figure, given, sdOf } from '#base/figure';
import { formatNumber } from '#base/units';
import { hydrateWater, molarMass, type Substance } from '#matter/substance';

export interface YieldAccount {
  readonly yieldPct: Figure;
  readonly mass: Figure;
  readonly theory: Figure;
  /** What the theory is all of: “washing soda”, “the sodium silicate in solution”. */
  readonly of: string;
  /** Over 100 % by more than its uncertainty, over but within it, or not over. */
  readonly over: 'clearly' | 'within-uncertainty' | 'no';
  /** What to ask, or what would explain it: whole sentences. */
  readonly explanations: readonly string[];
}

const WATER = molarMass('H2O');

/** What a weighed product is counted against. */
export interface Counted {
  readonly mass: Figure;
  readonly theory: Figure;
  readonly of: string;
  readonly solid: Substance;
  /** The reagent that limits, with its strength in mass %; null when it is not one of the bottles. */
  readonly limiting: { readonly name: string; readonly pct: number } | null;
  /** Whether two weighings agreed. */
  readonly constant: boolean;
  /** g that the sheet expects; null where it cannot say. */
  readonly expected: Figure | null;
}

/**
 * Yield of a solid, g weighed against g of theory. Where it is over 100 %, each cause that could make it so is given with the
 * number it would take: water still in, a higher hydrate, a stronger reagent. Far above what was expected, it is asked about.
 */
export function yieldOf(counted: Counted): YieldAccount {
  const { mass, theory, of } = counted;
  const yieldPct = yieldFigure(mass, theory);
  const beyond = yieldPct.value - 100;
  if (beyond <= 0) return { yieldPct, mass, theory, of, over: 'no', explanations: farAbove(counted) };
  const within = beyond <= 2 * sdOf(yieldPct);
  const explanations = causesOf(counted);
  if (within)
    explanations.unshift(
      `Over 100 % by less than its uncertainty of ± ${formatNumber(2 * sdOf(yieldPct), 2)} %: it may be whole and dry.`,
    );
  return { yieldPct, mass, theory, of, over: within ? 'within-uncertainty' : 'clearly', explanations };
}

function causesOf({ mass, theory, of, solid, limiting, constant }: Counted): string[] {
  const extra = mass.value - theory.value;
  const moles = theory.value / molarMass(solid.formula);
  const water = hydrateWater(solid.formula);
  const causes = [
    `${formatNumber(extra, 2)} g more than all ${of} could give. As water still in it, that is ${formatNumber((100 * extra) / mass.value, 2)} % of what was weighed${constant ? ', though two weighings agreed' : '; it was not weighed to constant mass: dry on'}.`,
    water > 0
      ? `Read as a hydrate it would hold ${formatNumber(water + extra / moles / WATER, 2)} H₂O for each formula unit, where the crystal has ${water}${constant ? ': mother liquor held in the crystals, or a cold, wet crop' : ''}.`
      : 'Salt of the mother liquor dried onto it, what did not dissolve, or the paper weighed with it would count too: dissolve a weighed pinch, and test for what was in the liquor.',
  ];
  if (!limiting) return causes;
  const needed = (limiting.pct * mass.value) / theory.value;
  const possible = needed <= 100 ? '' : ', which cannot be: so not that alone';
  causes.push(
    `If all of it is product, ${limiting.name} was ${formatNumber(needed, 3)} % and not ${formatNumber(limiting.pct, 3)} %${possible}.`,
  );
  return causes;
}

/** A mass that could be and was not to be expected is asked about; a better crop than most is not. */
const FAR = 1.15;

function farAbove({ mass, expected, constant }: Counted): readonly string[] {
  if (!expected || !(expected.value > 0)) return [];
  const beyond = mass.value - expected.value;
  const band = 2 * Math.hypot(sdOf(mass), sdOf(expected));
  if (mass.value < FAR * expected.value || beyond < 1.5 * band) return [];
  return [
    `${formatNumber(beyond, 2)} g more than was to be expected (${formatNumber(expected.value, 3)} ± ${formatNumber(2 * sdOf(expected), 2)} g), though not more than there could be. Is it dry${constant ? ', salt and all' : ''}, was the paper weighed with it, and did the rinse take the mother liquor off? If so, less stayed in solution than computed.`,
  ];
}

/** A weighed mass as a figure: balance uncertainty, and the spread of the last two weighings. */
export function productMass(grams: number, sdG: number, name: string): Figure {
  const uncertainty = { 'balance:product': { name: 'weighing the product', effect: sdG } };
  return given({ symbol: 'm', name, unit: 'g' }, { value: grams, uncertainty }, 'weighed at the bench');
}

/** Yield of a solution: g dissolved in it, found by its density, against g of theory. */
export function solutionYield(mass: Figure, theory: Figure, of: string): YieldAccount {
  const yieldPct = yieldFigure(mass, theory);
  const beyond = yieldPct.value - 100;
  if (beyond <= 0) return { yieldPct, mass, theory, of, over: 'no', explanations: [] };
  const within = beyond <= 2 * sdOf(yieldPct);
  return {
    yieldPct,
    mass,
    theory,
    of,
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
