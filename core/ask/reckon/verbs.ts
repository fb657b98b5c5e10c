import {
  cutPhrase,
  type Phrase,
  pointAt,
  readStuff,
  readSubstanceName,
  type Stuff,
  strengthPct,
  typedNumber,
} from '#ask/phrase';
import type { Found } from '#ask/sums';
import { datum, given } from '#base/figure';
import { itemAt, numberAt } from '#base/lookup';
import { bisect } from '#base/numeric';
import { fail, ok, type Result } from '#base/problem';
import { formatNumber } from '#base/units';
import { phOf } from '#matter/equilibrium';
import { balance, balancedText } from '#matter/reaction';
import { strengthIn } from '#matter/solution';
import { molarMassFigure } from '#matter/substance';

export function molarMassVerb(rest: string, line: string): Result<Found> {
  const found = readSubstanceName(rest.trim(), line);
  if (!found.ok) return found;
  try {
    return ok({ figures: [molarMassFigure(found.value.substance.formula)] });
  } catch (error) {
    return fail('no-atomic-weight', (error as Error).message, { at: pointAt(line, rest) });
  }
}

export function balanceVerb(rest: string, line: string): Result<Found> {
  const balanced = balance(rest);
  if (!balanced.ok) return { ok: false, problem: { ...balanced.problem, at: pointAt(line, rest) } };
  const { equation, coefficients, note } = balanced.value;
  const figures = [...equation.left, ...equation.right].map(({ text }, i) =>
    given(
      { symbol: `ν${i + 1}`, name: text, unit: '' },
      numberAt(coefficients, i),
      'atoms and charge balanced exactly',
    ),
  );
  return ok({ figures, note: `${balancedText(balanced.value)}${note ? `. ${note}` : ''}` });
}

export function phVerb(rest: string, line: string): Result<Found> {
  const back = PH_BACK.exec(rest.trim());
  if (back) return strengthOfPh(itemAt(back, 1), itemAt(back, 2), line);
  const phrase = cutPhrase(rest);
  if (!phrase.ok) return phrase;
  const stuff = readStuff(phrase.value.body, line);
  if (!stuff.ok) return stuff;
  const { substance, strength } = stuff.value;
  if (!strength) return fail('missing-part', 'How strong? Write pH 0.1 mol/L CH3COOH.', { at: pointAt(line, rest) });
  const tempC = phrase.value.tempGiven ? phrase.value.tempC : 25;
  const c = concentration(stuff.value, { ...phrase.value, tempC });
  if (!c.ok) return { ok: false, problem: { ...c.problem, at: pointAt(line, rest) } };
  const answer = phOf([{ substanceId: substance.id, molPerL: c.value }], tempC);
  if (!answer.ok) return { ok: false, problem: { ...answer.problem, at: pointAt(line, rest) } };
  const { pH, sources } = answer.value;
  const constants =
    sources.length === 0 ? 'strong: fully split' : sources.map(({ name, pKa }) => `${name} pKa ${pKa}`).join('; ');
  const source = {
    source: `charge balance with Davies activity coefficients; ${constants}; CRC, NIST at 25 °C`,
    grade: 'B' as const,
  };
  const spread = c.value > 0.1 ? 0.08 : 0.03;
  return ok({
    figures: [
      datum(
        { symbol: 'pH', name: 'pH', unit: '' },
        { value: pH, uncertainty: { model: { name: 'activity model', effect: spread } } },
        source,
      ),
    ],
  });
}

const PH_BACK = /^(\d[\d.,]*)\s+(?:of\s+)?(?!mol|m\b|%|g\b|mmol)([\p{L}(].*)$/iu;
/** mol/L between which a strength is sought. */
const WEAKEST = 1e-7;
const STRONGEST = 2;

/** “pH 2.88 acetic acid”: the strength that has this pH. Between the weakest and the strongest the pH only rises or only falls. */
function strengthOfPh(said: string, name: string, line: string): Result<Found> {
  const wanted = typedNumber(said, line);
  if (!wanted.ok) return wanted;
  const phrase = cutPhrase(name);
  if (!phrase.ok) return phrase;
  const found = readSubstanceName(phrase.value.body, line);
  if (!found.ok) return found;
  const { substance } = found.value;
  const tempC = phrase.value.tempGiven ? phrase.value.tempC : 25;
  const at = (c: number) => {
    const answer = phOf([{ substanceId: substance.id, molPerL: c }], tempC);
    return answer.ok ? answer.value.pH : Number.NaN;
  };
  const known = phOf([{ substanceId: substance.id, molPerL: 0.1 }], tempC);
  if (!known.ok) return { ok: false, problem: { ...known.problem, at: pointAt(line, name) } };
  const [weak, strong] = [at(WEAKEST), at(STRONGEST)];
  const [least, most] = [Math.min(weak, strong), Math.max(weak, strong)];
  if (!(wanted.value >= least && wanted.value <= most))
    return fail(
      'out-of-range',
      `${substance.name} in water has pH ${formatNumber(least, 3)} to ${formatNumber(most, 3)}; ${formatNumber(wanted.value, 3)} is of something else, or of a mixture.`,
      { at: pointAt(line, said) },
    );
  const off = (lnC: number) => at(Math.exp(lnC)) - wanted.value;
  const solved = bisect(off, { low: Math.log(WEAKEST), high: Math.log(STRONGEST), within: 1e-6 });
  if (solved.outcome !== 'converged')
    return fail('out-of-range', `No strength of ${substance.name} has that pH.`, { at: pointAt(line, said) });
  const c = Math.exp(solved.x);
  // A paper or a meter is right to a tenth: what that is worth in strength is the answer's own uncertainty.
  // pH against ln c, by a tenth of it to both sides.
  const slope = Math.abs(at(c * 1.1) - at(c / 1.1)) / Math.log(1.21);
  const effect = (c * PH_READ) / Math.max(slope, 1e-3);
  return ok({
    figures: [
      datum(
        { symbol: 'c', name: `${substance.name}, by its pH`, unit: 'mol/L' },
        { value: c, uncertainty: { pH: { name: 'pH read to a tenth', effect } } },
        { source: 'charge balance with Davies activity coefficients, solved for the strength', grade: 'B' },
      ),
    ],
    note: `If it is ${substance.name} and water alone. A tenth of pH is much in strength: titrate where it matters.`,
  });
}

/** pH to which one reads. */
const PH_READ = 0.1;

/** mol/L of what was typed. Dilute mol/L needs no density table. */
function concentration(stuff: Stuff, phrase: Phrase): Result<number> {
  if (stuff.strength?.unit === 'mol/L')
    return stuff.strength.value >= 0 ? ok(stuff.strength.value) : fail('out-of-range', 'A strength is 0 or more.');
  const w = strengthPct(stuff, phrase);
  if (!w.ok) return w;
  const c = strengthIn(
    given({ symbol: 'w', name: 'strength', unit: '%' }, w.value ?? 0, 'as typed'),
    'mol/L',
    stuff.substance,
    phrase.tempC,
  );
  return c.ok ? ok(c.value.value) : c;
}
