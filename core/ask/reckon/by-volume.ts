import { isGasFormula, type Phrase, type Stuff } from '#ask/phrase';
import { derive, type Figure, given } from '#base/figure';
import { ok, type Result } from '#base/problem';
import { findUnit } from '#base/units';
import { densityFigure, hasDensity, massFractionFigure } from '#matter/solution';
import { molarMassFigure } from '#matter/substance';
import { inUnit } from './amount.ts';

/**
 * What a volume of a solution holds, by its strength by volume: c × V needs no density. As mass, what is weighed out comes
 * first and the mass of the solution, where its density is held, after it. Undefined where the line asks something else.
 */
export function byVolume(stuff: Stuff, phrase: Phrase): Result<readonly Figure[]> | undefined {
  const { amount, strength, substance } = stuff;
  if (amount?.dimension !== 'volume' || !strength || isGasFormula(substance.formula)) return undefined;
  const unit = findUnit(phrase.wanted ?? 'mol');
  if (!unit || (unit.dimension !== 'mass' && unit.dimension !== 'amount')) return undefined;
  const grams = heldG(stuff);
  if (!grams) return undefined;
  const M = molarMassFigure(substance.formula);
  if (unit.dimension === 'amount') {
    const n = derive(
      { symbol: 'n', name: `${substance.name}, amount`, unit: 'mol' },
      'm ÷ M',
      { m: grams, M },
      (x) => x.m / x.M,
    );
    return ok([inUnit(n, unit.factor, unit.name)]);
  }
  const solution = solutionG(stuff, phrase);
  return ok([grams, ...(solution ? [solution] : [])].map((each) => inUnit(each, unit.factor, unit.name)));
}

/** g of the substance in the volume; undefined where the strength is not by volume. */
function heldG({ amount, strength, substance }: Stuff): Figure | undefined {
  const V = given({ symbol: 'V', name: 'volume', unit: 'mL' }, amount?.value ?? 0, 'as typed');
  const naming = { symbol: 'm', name: `${substance.name} to weigh`, unit: 'g' };
  const c = (unit: string) => given({ symbol: 'c', name: 'strength', unit }, strength?.value ?? 0, 'as typed');
  switch (strength?.unit) {
    case 'mol/L':
      return derive(
        naming,
        'c × V × M ÷ 1000',
        { c: c('mol/L'), V, M: molarMassFigure(substance.formula) },
        (x) => (x.c * x.V * x.M) / 1000,
      );
    case 'g/L':
      return derive(naming, 'c × V ÷ 1000', { c: c('g/L'), V }, (x) => (x.c * x.V) / 1000);
    case 'w/v':
      return derive(naming, 'c × V ÷ 100', { c: c('% w/v'), V }, (x) => (x.c * x.V) / 100);
    default:
      return undefined;
  }
}

/** g of all of the solution; undefined where no density is held. */
function solutionG({ amount, strength, substance }: Stuff, { tempC }: Phrase): Figure | undefined {
  if (!strength || !hasDensity(substance)) return undefined;
  const label = given({ symbol: 'c', name: 'strength', unit: strength.unit }, strength.value, 'as typed');
  const w = massFractionFigure(label, strength.unit, substance, tempC);
  const rho = w.ok ? densityFigure(substance, w.value, tempC) : undefined;
  if (!rho?.ok) return undefined;
  const V = given({ symbol: 'V', name: 'volume', unit: 'mL' }, amount?.value ?? 0, 'as typed');
  return derive(
    { symbol: 'm(solution)', name: `all of the ${substance.name} solution`, unit: 'g' },
    'V × ρ',
    { V, ρ: rho.value },
    (x) => x.V * x.ρ,
  );
}
