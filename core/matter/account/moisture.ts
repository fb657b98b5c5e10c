import { derive, type Figure, given } from '#base/figure';
import { fail, ok, type Result } from '#base/problem';
import { molarMassFigure } from '#matter/substance';

/** Something that came of an intermediate, mol for mol, weighed dry. */
export interface CameOf {
  readonly name: string;
  readonly formula: string;
  readonly grams: number;
}

export interface Moisture {
  /** g of the intermediate that was dry, by what came of it the fullest: at least so much. */
  readonly dry: Figure;
  /** g of the rest: water, or loss on the way. At most so much was water. */
  readonly water: Figure;
  readonly waterPct: number;
  /** Which of them tells it. */
  readonly by: string;
}

/**
 * What of a wet intermediate was water, from what came of it: each product says that at least so many mol of it were there, mol for mol;
 * the fullest of them is believed. What was lost after the weighing counts as water too, so the water is the most it can have been.
 */
export function moistureOf(wetG: number, formula: string, came: readonly CameOf[]): Result<Moisture> {
  if (!(wetG > 0)) return fail('out-of-range', 'The wet mass is more than 0 g.');
  if (came.length === 0) return fail('missing-part', 'What came of it, and how much of it, dry?');
  const M = molarMassFigure(formula);
  const amounts = came.map((each) => ({ each, mol: each.grams / molarMassFigure(each.formula).value }));
  const fullest = amounts.reduce((a, b) => (b.mol > a.mol ? b : a));
  const m = given({ symbol: 'm', name: fullest.each.name, unit: 'g' }, fullest.each.grams, 'weighed dry');
  const dry = derive(
    { symbol: 'm(dry)', name: 'of it that was dry, at least', unit: 'g' },
    'm ÷ Mₚ × M',
    { m, Mₚ: molarMassFigure(fullest.each.formula), M },
    (x) => (x.m / x.Mₚ) * x.M,
  );
  if (dry.value > wetG * 1.02)
    return fail(
      'out-of-range',
      `So much ${fullest.each.name} cannot come of ${wetG} g: it would take ${dry.value.toPrecision(3)} g, dry. Is the product wet itself?`,
    );
  const W = given({ symbol: 'W', name: 'weighed wet', unit: 'g' }, wetG, 'weighed');
  const water = derive(
    { symbol: 'm(water)', name: 'water in it, at most', unit: 'g' },
    'max(0; W − d)',
    { W, d: dry },
    (x) => Math.max(0, x.W - x.d),
  );
  return ok({ dry, water, waterPct: (100 * water.value) / wetG, by: fullest.each.name });
}
