import { datum, type Figure } from '#base/figure';
import { fail, ok, type Result, unwrap } from '#base/problem';
import type { Measured } from '#base/units';
import { atomicWeights } from '#matter/data';
import { formulaText, parseFormula } from './formula.ts';

const WEIGHTS = new Map(atomicWeights.map((row) => [row.symbol, row]));
const SOURCE = 'IUPAC 2021 abridged standard atomic weights';

/**
 * Molar mass, g/mol, from the IUPAC 2021 abridged weights. The stated ± of each weight is taken as a rectangle
 * (sd = ±/√3, CIAAW guidance) and belongs to the element, so two formulas that share one share its uncertainty.
 */
export function molarMassOfElements(elements: Readonly<Record<string, number>>): Result<Measured> {
  let value = 0;
  const uncertainty: Record<string, { name: string; effect: number }> = {};
  for (const [symbol, count] of Object.entries(elements)) {
    const row = WEIGHTS.get(symbol);
    if (row?.weight === undefined) {
      return fail(
        'no-atomic-weight',
        `${row?.name ?? symbol} has no standard atomic weight, so no molar mass follows.`,
      );
    }
    value += count * row.weight;
    uncertainty[`weight:${symbol}`] = {
      name: 'atomic weights',
      effect: (count * (row.uncertainty ?? 0)) / Math.sqrt(3),
    };
  }
  return ok({ value, uncertainty });
}

const cache = new Map<string, Figure>();

/** Molar mass of a formula that is known to be right (catalogue, substance list), as a figure in g/mol. */
export function molarMassFigure(formula: string): Figure {
  let figure = cache.get(formula);
  if (!figure) {
    const measured = unwrap(molarMassOfElements(unwrap(parseFormula(formula)).elements));
    const naming = {
      symbol: `M(${formulaText(formula)})`,
      name: `molar mass of ${formulaText(formula)}`,
      unit: 'g/mol',
    };
    figure = datum(naming, measured, { source: SOURCE, grade: 'A' });
    cache.set(formula, figure);
  }
  return figure;
}

/** g/mol. */
export function molarMass(formula: string): number {
  return molarMassFigure(formula).value;
}

const waters = new Map<string, number>();

/** Molecules of crystal water in a formula: 7 for ZnSO4.7H2O. */
export function hydrateWater(formula: string): number {
  let water = waters.get(formula);
  if (water === undefined) {
    water = unwrap(parseFormula(formula)).water;
    waters.set(formula, water);
  }
  return water;
}
