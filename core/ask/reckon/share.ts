import { type Phrase, pointAt, readSubstanceName, type Stuff, typedNumber, wantedStrength } from '#ask/phrase';
import type { Found } from '#ask/sums';
import { derive, given } from '#base/figure';
import { itemAt } from '#base/lookup';
import { fail, ok, type Result } from '#base/problem';
import { findUnit } from '#base/units';
import { formulaText, molarMassFigure, parseFormula } from '#matter/substance';
import { holding, molesOf } from './amount.ts';

/**
 * “Br in KBr”, “K2O in KCl”, “H2O in CuSO4.5H2O”: the mass of a part in the whole, by the element that is in both.
 * Undefined where the line is no such question: both sides are formulas, and the second is no unit.
 */
export function shareOf(line: string): Result<Found> | undefined {
  const parts = /^([A-Z][A-Za-z0-9₀-₉()]*)\s+in\s+(\S.*)$/.exec(line);
  if (!parts) return undefined;
  const [part, whole] = [itemAt(parts, 1), itemAt(parts, 2).trim()];
  if (findUnit(whole) || wantedStrength(whole)) return undefined;
  const wanted = parseFormula(part);
  const of = readSubstanceName(whole, line);
  if (!wanted.ok || !of.ok) return undefined;
  const formula = of.value.substance.formula;
  const held = parseFormula(formula);
  if (!held.ok) return held;
  const water = part === 'H2O' ? held.value.water : undefined;
  const counts = Object.entries(wanted.value.elements);
  // An oxide is a way of counting its metal: its oxygen need not be there.
  const telling = counts.length > 1 ? counts.filter(([element]) => element !== 'O' && element !== 'H') : counts;
  const each = telling.map(([element, n]) => (held.value.elements[element] ?? 0) / n);
  const n = water ?? each[0] ?? 0;
  if (n === 0 || (water === undefined && each.some((other) => Math.abs(other - n) > 1e-9)))
    return fail('out-of-range', `There is no ${formulaText(part)} in ${formulaText(formula)}.`, {
      at: pointAt(line, part),
    });
  const inputs = {
    n: given({ symbol: 'n', name: `${formulaText(part)} in ${formulaText(formula)}`, unit: '' }, n, 'counted'),
    P: molarMassFigure(part),
    M: molarMassFigure(formula),
  };
  return ok({
    figures: [
      derive(
        { symbol: 'w', name: `${formulaText(part)} in ${of.value.substance.name}`, unit: '%' },
        '100 × n × P ÷ M',
        inputs,
        (x) => (100 * x.n * x.P) / x.M,
      ),
    ],
  });
}

/** “8.4 g Sn as 97%”: how much of the impure thing holds it. Undefined where no strength is asked for. */
export function asStrength(stuff: Stuff, phrase: Phrase): Result<Found> | undefined {
  const parts = /^(\d[\d.,]*)\s*(%|percent)(?:\s+(?:pure|w\/w|by mass))?$/i.exec(phrase.wanted ?? '');
  if (!parts || stuff.strength || !stuff.amount) return undefined;
  const pct = typedNumber(itemAt(parts, 1), phrase.text);
  if (!pct.ok) return pct;
  if (!(pct.value > 0 && pct.value <= 100))
    return fail('out-of-range', 'A strength by mass is more than 0 % and at most 100 %.', {
      at: phrase.wantedAt ?? [0, phrase.text.length],
    });
  const n = molesOf(stuff, phrase);
  if (!n.ok) return n;
  const weak: Stuff = { ...stuff, amount: undefined, strength: { value: pct.value, unit: 'w/w' } };
  const mass = holding(n.value, weak, 'mass', phrase);
  if (!mass.ok) return mass;
  return ok({ figures: [{ ...mass.value, name: `${stuff.substance.name} of ${pct.value} %` }] });
}
